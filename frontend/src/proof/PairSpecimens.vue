<script setup lang="ts">
import { RadioGroup, RadioGroupOption } from '@headlessui/vue'
import { computed } from 'vue'
import type { ProofFigures, ProofSettings, ProofVocabulary } from '@/api/types'
import { useProofWords } from './useProofWords'
import { setProof } from './settings'
import { useTakeStore } from '@/take/take'
import './faces.css'

/** Pairs of typefaces, chosen by looking: each set in itself, on the grounds of the brand in turn. */
const props = defineProps<{
  proof: ProofFigures
  vocabulary: ProofVocabulary
  settings: ProofSettings
}>()
const take = useTakeStore()
const words = useProofWords(() => props.proof)

const chosen = computed(() =>
  props.vocabulary.pairings.findIndex(
    (one) => one.heading === props.settings.heading_face && one.text === props.settings.text_face,
  ),
)
const specimens = computed(() =>
  props.vocabulary.pairings.map((pair, row) => {
    const ground = props.proof.grounds[row % props.proof.grounds.length]
    const of = (element: string) => ground?.elements.find((one) => one.element === element)?.hex
    return {
      pair,
      ground: { backgroundColor: ground?.hex, color: of('text') },
      heading: { fontFamily: `'${pair.heading} Variable'`, color: of('heading') },
      text: { fontFamily: `'${pair.text} Variable'` },
    }
  }),
)
function choose(row: number) {
  const pair = props.vocabulary.pairings[row]
  if (take.document && pair)
    take.change(setProof(take.document, { heading_face: pair.heading, text_face: pair.text }))
}
</script>

<template>
  <RadioGroup
    :model-value="chosen"
    aria-label="Fonts that go together"
    class="grid max-h-76 gap-1.5 overflow-y-auto border border-ink p-1.5"
    @update:model-value="choose"
  >
    <RadioGroupOption
      v-for="({ pair, ground, heading, text }, row) in specimens"
      :key="row"
      v-slot="{ checked }"
      :value="row"
      :aria-label="pair.heading === pair.text ? pair.heading : `${pair.heading} / ${pair.text}`"
      class="cursor-pointer"
    >
      <div
        class="keeps-color border px-2.5 py-2"
        :class="checked ? 'border-ink outline-2 outline-ink' : 'border-hair'"
        :style="ground"
      >
        <p class="text-[19px] leading-tight font-bold" :style="heading">{{ words.headline }}</p>
        <p class="mt-0.5 line-clamp-2 text-small leading-snug" :style="text">{{ words.text }}</p>
      </div>
      <p class="text-small text-quiet" :class="checked && 'font-semibold text-ink'">
        {{ pair.heading === pair.text ? pair.heading : `${pair.heading} / ${pair.text}` }}
      </p>
      <p v-if="checked" class="text-small text-quiet">{{ pair.reason }}</p>
    </RadioGroupOption>
  </RadioGroup>
</template>
