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

/** The row of the trade’s own pair, before those that can be chosen. */
const OWN = -1
/** No row: a pairing of one’s own. */
const NONE = -2
const trade = computed(() => props.vocabulary.voices.find((one) => one.id === props.proof.voice))
const chosen = computed(() => {
  const { heading_face: heading, text_face: text } = props.settings
  if (heading === null && text === null) return OWN
  const row = props.vocabulary.pairings.findIndex(
    (one) => one.heading === heading && one.text === text,
  )
  return row < 0 ? NONE : row
})
const offered = computed(() => [
  ...(trade.value
    ? [
        {
          heading: trade.value.type.heading,
          text: trade.value.type.text,
          reason: `What “${trade.value.name}” is set in, until you choose.`,
        },
      ]
    : []),
  ...props.vocabulary.pairings,
])
const specimens = computed(() =>
  offered.value.map((pair, place) => {
    const ground = props.proof.grounds[place % props.proof.grounds.length]
    const of = (element: string) => ground?.elements.find((one) => one.element === element)?.hex
    return {
      row: place - (trade.value ? 1 : 0),
      pair,
      ground: { backgroundColor: ground?.hex, color: of('text') },
      heading: { fontFamily: `'${pair.heading} Variable'`, color: of('heading') },
      text: { fontFamily: `'${pair.text} Variable'` },
    }
  }),
)
function nameOf({ heading, text }: { heading: string; text: string }, row: number) {
  const pair = heading === text ? heading : `${heading} / ${text}`
  return row === OWN ? `The trade’s own: ${pair}` : pair
}
function choose(row: number) {
  const pair = row === OWN ? { heading: null, text: null } : props.vocabulary.pairings[row]
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
      v-for="{ row, pair, ground, heading, text } in specimens"
      :key="row"
      v-slot="{ checked }"
      :value="row"
      :aria-label="nameOf(pair, row)"
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
        {{ nameOf(pair, row) }}
      </p>
      <p v-if="checked" class="text-small text-quiet">{{ pair.reason }}</p>
    </RadioGroupOption>
  </RadioGroup>
</template>
