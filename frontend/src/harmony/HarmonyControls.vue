<script setup lang="ts">
import { computed } from 'vue'
import ChoiceList from '@/ui/ChoiceList.vue'
import type { Harmony, HarmonyVocabulary } from '@/api/types'
import { formatFixed } from '@/ui/format'
import { usePagePreview } from '@/page/usePagePreview'
import NumberField from '@/ui/NumberField.vue'

const props = defineProps<{
  harmony: Harmony
  vocabulary: HarmonyVocabulary
  /** What the colours have together, which the sliders start at. */
  chroma: number
  span: number
  isVarying: boolean
  isInFigures: boolean
}>()
const emit = defineEmits<{
  spread: [degrees: number]
  addAngle: []
  removeAngle: []
  shape: [changes: Partial<Harmony>]
  circle: [name: Harmony['circle']]
  webSafe: [on: boolean]
  keep: []
  vary: []
  figures: []
}>()

const rule = computed(() => props.vocabulary.rules.find((one) => one.name === props.harmony.rule))
const hasSpread = computed(() => rule.value && rule.value.least < rule.value.most)
const spread = computed(() => props.harmony.spread ?? rule.value?.spread ?? 0)
const character = computed(() =>
  props.vocabulary.characters.find((one) => one.name === props.harmony.character),
)
const chroma = computed(() => props.harmony.chroma ?? character.value?.chroma ?? props.chroma)
const span = computed(() => props.harmony.span ?? character.value?.span ?? props.span)
const characters = computed(() => [
  { value: '', label: 'Character: as it is' },
  ...props.vocabulary.characters.map((one) => ({
    value: one.name,
    label: `Character: ${one.name}`,
    note: one.says,
  })),
])

const circles = computed(() =>
  props.vocabulary.circles.map(({ name, says }) => ({
    value: name,
    label: `Circle: ${name}`,
    note: says,
  })),
)

const valueOf = (event: Event) =>
  event.target instanceof HTMLInputElement ? Number(event.target.value) : 0
function setSpread(degrees: number) {
  emit('spread', degrees)
  emit('keep')
}
const asCharacter = (name: string) =>
  ({ character: name || null, lightness: null, chroma: null, span: null }) as const
function setCharacter(name: string) {
  emit('shape', asCharacter(name))
  emit('keep')
}
const preview = usePagePreview()
function pointCharacter(name: string | undefined) {
  if (name === undefined) preview.hide()
  else preview.showChange(() => ({ kind: 'character', harmony: asCharacter(name) }))
}
</script>

<template>
  <div class="flex flex-wrap items-center gap-x-3 gap-y-1.5">
    <span v-if="harmony.rule === 'free'" class="flex items-center gap-2">
      <button
        type="button"
        class="button"
        :disabled="harmony.angles.length >= vocabulary.most_free_angles"
        @click="emit('addAngle')"
      >
        Add angle
      </button>
      <button
        type="button"
        class="button"
        :disabled="!harmony.angles.length"
        @click="emit('removeAngle')"
      >
        Remove angle
      </button>
    </span>
    <span
      v-else
      class="flex items-center gap-2"
      :class="!hasSpread && 'text-quiet'"
      title="Degrees between neighbouring hues of the rule"
    >
      Spread
      <template v-if="hasSpread && rule">
        <input
          type="range"
          class="slider w-18"
          :min="rule.least"
          :max="rule.most"
          step="1"
          aria-label="Spread"
          :value="spread"
          @input="emit('spread', valueOf($event))"
          @change="emit('keep')"
        />
        <NumberField
          class="field w-14! px-1.5!"
          aria-label="Spread in degrees"
          :min="rule.least"
          :max="rule.most"
          is-whole
          :value="Math.round(spread)"
          @set="setSpread"
        />
        <span aria-hidden="true">°</span>
      </template>
      <span v-else>fixed by the rule</span>
    </span>
    <label
      class="flex items-center gap-2"
      title="How vivid the colours are: 100% is the most that a screen can show"
    >
      Chroma
      <input
        type="range"
        class="slider w-18"
        min="0.05"
        max="1"
        step="0.01"
        :value="chroma"
        @input="emit('shape', { chroma: valueOf($event) })"
        @change="emit('keep')"
      />
      <span class="value w-8.5">{{ Math.round(chroma * 100) }}%</span>
    </label>
    <label
      class="flex items-center gap-2"
      title="From the darkest to the lightest colour: 0 is none, 1 is black to white"
    >
      Lightness range
      <input
        type="range"
        class="slider w-18"
        min="0"
        max="0.8"
        step="0.01"
        :value="span"
        @input="emit('shape', { span: valueOf($event) })"
        @change="emit('keep')"
      />
      <span class="value w-8.5">{{ formatFixed(span, 2) }}</span>
    </label>
    <div class="ml-auto flex flex-wrap items-center gap-2">
      <button
        type="button"
        class="button"
        :aria-pressed="harmony.web_safe"
        :class="harmony.web_safe && 'bg-ink! text-sheet!'"
        title="New values are the nearest of the 216 web-safe colours, as old screens could show"
        @click="emit('webSafe', !harmony.web_safe)"
      >
        Web-safe only
      </button>
      <ChoiceList
        class="w-40"
        label="Colour circle of the rule"
        :model-value="harmony.circle"
        :options="circles"
        up
        @update:model-value="emit('circle', $event)"
      />
      <ChoiceList
        class="w-44"
        label="Character"
        :model-value="harmony.character ?? ''"
        :options="characters"
        up
        @point="pointCharacter"
        @update:model-value="setCharacter"
      />
      <button
        type="button"
        class="button"
        title="The notes as a table"
        :aria-pressed="isInFigures"
        :class="isInFigures && 'bg-ink! text-sheet!'"
        @click="emit('figures')"
      >
        Figures
      </button>
      <button
        type="button"
        class="button"
        :aria-pressed="isVarying"
        :class="isVarying && 'bg-ink! text-sheet!'"
        @click="emit('vary')"
      >
        Vary free colours
      </button>
    </div>
  </div>
</template>
