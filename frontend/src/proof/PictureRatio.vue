<script setup lang="ts">
import { api, answerOf } from '@/api/client'
import type { ProofFigures } from '@/api/types'
import { formatRatio } from '@/ui/format'
import { useFollowing } from '@/ui/useFollowing'
import { regionOf } from './parts'
import type { PartFigures } from './parts'
import { useTakeStore } from '@/take/take'

/** What a text over the brand’s picture has under it: the worst pixel counts. */
const props = defineProps<{
  style: ProofFigures['styles'][number] | undefined
  use: PartFigures
  element: Element | undefined
}>()
const take = useTakeStore()
const { answer: found, problem } = useFollowing(
  () => {
    const document = take.document
    const source = document?.proof.picture
    if (!document || !source || !props.element) return undefined
    const { overlay } = document.proof
    const body = {
      document,
      text: props.use.key,
      layers: overlay ? [overlay] : [],
      as_proved: true,
      usage: 'body text' as const,
      size: props.style?.deciding ?? null,
      weight: props.style?.weight ?? null,
      region: regionOf(props.element, document.proof.picture_view),
    }
    return { source, body }
  },
  ({ source, body }, signal) => {
    const params = { path: { source_id: source } }
    return answerOf(api.POST('/api/sources/{source_id}/backdrop', { params, body, signal }))
  },
)
</script>

<template>
  <p v-if="problem" role="alert" class="mt-3 font-semibold">{{ problem }}</p>
  <section v-else-if="found" aria-label="Over the picture" class="mt-3">
    <h3 class="text-quiet">Where it stands now</h3>
    <dl class="rule-list">
      <div class="flex py-1">
        <dt class="flex-1">Worst pixel under it</dt>
        <dd class="value font-semibold">{{ formatRatio(found.worst) }}:1</dd>
      </div>
      <div class="flex py-1">
        <dt class="flex-1">All but 5 % have</dt>
        <dd class="value">{{ formatRatio(found.low) }}:1</dd>
      </div>
    </dl>
    <p class="mt-1 font-semibold">
      <template v-if="found.passes"
        >It can be read here. In a narrower window it may stand on another part.</template
      >
      <template v-else-if="found.least_opacity !== null">
        The layer over the picture must be {{ found.least_opacity }}% and more.
      </template>
      <template v-else
        >It needs a layer over the picture; see Content, Overlay on the picture.</template
      >
    </p>
  </section>
</template>
