<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref, useTemplateRef } from 'vue'
import { api, answerOf } from '@/api/client'
import { inScheme } from '@/take/scheme'
import type { Scheme } from '@/take/scheme'
import { useFollowing } from '@/ui/useFollowing'
import ProofFrame from './ProofFrame.vue'
import type { ProofContext } from './context'
import { useContext } from './useContext'
import { useBrandStore } from '@/take/brand'
import { brandFacts } from '@/take/fonts'
import { useTakeStore } from '@/take/take'

/** The same page in two or three takes, scrolled together; or two with an edge between them to drag. */
const props = defineProps<{
  context: ProofContext
  name: string
  others: readonly { id: string; name: string }[]
  width: number
  slides: boolean
}>()
const take = useTakeStore()
const brand = useBrandStore()
const box = useTemplateRef<HTMLElement>('box')
const { width: room, height } = useElementSize(box)
const HEAD = 26

const { answer: loaded, problem } = useFollowing(
  () => ({ ids: props.others.map(({ id }) => id), scheme: take.scheme }),
  ({ ids, scheme }) => Promise.all(ids.map((id) => load(id, scheme))),
)
const of = (id: string) => loaded.value?.find((one) => one.id === id)
async function load(id: string, scheme: Scheme) {
  const saved = await answerOf(
    api.GET('/api/takes/{take_id}', { params: { path: { take_id: id } } }),
  )
  const document = inScheme(saved.document, scheme)
  const proof = await answerOf(
    api.POST('/api/proof', { body: { document, ...brandFacts(brand.detail) } }),
  )
  return { id, document, proof }
}

const first = computed(() => props.others[0]?.id ?? '')
const second = computed(() => props.others[1]?.id ?? '')
const page = () => props.context.page
const contexts = [first, second].map((id) =>
  useContext(
    () => of(id.value)?.document,
    () => of(id.value)?.proof,
    page,
  ),
)
const columns = computed(() => [
  { name: props.name, context: props.context },
  ...props.others.map((one, row) => ({ name: one.name, context: contexts[row]?.value })),
])
const share = computed(() =>
  props.slides ? room.value : (room.value - 8 * (columns.value.length - 1)) / columns.value.length,
)
const scale = computed(() => Math.min(1, share.value / props.width))

const frames = useTemplateRef<InstanceType<typeof ProofFrame>[]>('frames')
function follow(from: number, scrolled: number) {
  frames.value?.forEach((frame, row) => {
    if (row !== from) frame.follow(scrolled)
  })
}

const edge = ref(50)
</script>

<template>
  <p v-if="problem" role="alert" class="font-semibold">{{ problem }}</p>
  <div
    ref="box"
    class="relative min-h-0 flex-1"
    :class="!slides && 'flex gap-2'"
    data-testid="beside"
  >
    <div
      v-for="(column, row) in columns"
      :key="row"
      class="min-w-0"
      :class="slides ? 'absolute inset-0' : 'flex-1'"
      :style="slides && row === 1 ? { clipPath: `inset(0 0 0 ${edge}%)` } : undefined"
    >
      <p
        class="h-6.5 truncate border border-b-0 border-ink bg-sheet px-2 leading-6 font-semibold"
        :class="slides && row === 1 && 'text-right'"
      >
        {{ column.name }}
      </p>
      <div class="border border-ink">
        <ProofFrame
          v-if="column.context && room"
          ref="frames"
          :context="column.context"
          :title="`${column.name}, ${context.page}`"
          :width="width"
          :scale="scale"
          :height="height - HEAD - 2"
          @scroll="follow(row, $event)"
        />
      </div>
    </div>
    <input
      v-if="slides"
      v-model.number="edge"
      type="range"
      min="0"
      max="100"
      class="slider absolute inset-x-0 bottom-2 z-10 mx-2 w-[calc(100%-16px)]"
      :aria-label="`Edge between ${columns[0]?.name} and ${columns[1]?.name}`"
    />
    <div
      v-if="slides"
      class="pointer-events-none absolute top-0 bottom-0 w-0.5 bg-ink"
      :style="{ left: `${edge}%` }"
      aria-hidden="true"
    ></div>
  </div>
</template>
