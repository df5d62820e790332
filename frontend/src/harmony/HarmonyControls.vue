<script setup lang="ts">
import { computed } from 'vue'
import ChoiceList from '@/ui/ChoiceList.vue'
import type { Harmony, HarmonyVocabulary } from '@/api/types'
import { formatFixed } from '@/ui/format'

const props = defineProps<{
  harmony: Harmony
  vocabulary: HarmonyVocabulary
  isVarying: boolean
}>()
const emit = defineEmits<{
  spread: [degrees: number]
  angles: [angles: number[]]
  shape: [harmony: Harmony]
  webSafe: [on: boolean]
  keep: []
  vary: []
}>()

const rule = computed(() => props.vocabulary.rules.find((one) => one.name === props.harmony.rule))
const hasSpread = computed(() => rule.value && rule.value.least < rule.value.most)
const spread = computed(() => props.harmony.spread ?? rule.value?.spread ?? 0)
const character = computed(
  () =>
    props.vocabulary.characters.find((one) => one.name === props.harmony.character) ??
    props.vocabulary.characters.find((one) => one.name === 'crisp'),
)
const chroma = computed(() => props.harmony.chroma ?? character.value?.chroma ?? 0.8)
const span = computed(() => props.harmony.span ?? character.value?.span ?? 0.4)
const characters = computed(() => [
  { value: '', label: 'Character: as it is' },
  ...props.vocabulary.characters.map((one) => ({
    value: one.name,
    label: `Character: ${one.name}`,
    note: one.says,
  })),
])

/** The middle of the widest gap, so that a new angle stands where there is room. */
const openAngle = computed(() => {
  const taken = [0, ...props.harmony.angles, 360].sort((one, other) => one - other)
  const gaps = taken.slice(1).map((angle, row) => ({ from: taken[row] ?? 0, to: angle }))
  const widest = gaps.reduce((one, other) =>
    other.to - other.from > one.to - one.from ? other : one,
  )
  return Math.round((widest.from + widest.to) / 2) % 360
})

const valueOf = (event: Event) =>
  event.target instanceof HTMLInputElement ? Number(event.target.value) : 0
const shape = (changes: Partial<Harmony>) => {
  emit('shape', { ...props.harmony, ...changes })
}
function setCharacter(name: string) {
  shape({ character: name || null, lightness: null, chroma: null, span: null })
  emit('keep')
}
</script>

<template>
  <div class="flex flex-wrap items-center gap-x-3 gap-y-1.5">
    <span v-if="harmony.rule === 'free'" class="flex items-center gap-2">
      <button
        type="button"
        class="button"
        :disabled="harmony.angles.length >= vocabulary.most_free_angles"
        @click="emit('angles', [...harmony.angles, openAngle])"
      >
        Add an angle
      </button>
      <button
        type="button"
        class="button"
        :disabled="!harmony.angles.length"
        @click="emit('angles', harmony.angles.slice(0, -1))"
      >
        Fewer
      </button>
    </span>
    <label v-else class="flex items-center gap-2" :class="!hasSpread && 'text-quiet'">
      Spread
      <input
        type="range"
        class="slider w-18"
        :min="rule?.least ?? 0"
        :max="rule?.most ?? 0"
        step="1"
        :disabled="!hasSpread"
        :value="spread"
        @input="emit('spread', valueOf($event))"
        @change="emit('keep')"
      />
      <span class="value w-8.5">{{ hasSpread ? `${Math.round(spread)}°` : '–' }}</span>
    </label>
    <label class="flex items-center gap-2">
      Chroma
      <input
        type="range"
        class="slider w-18"
        min="0.05"
        max="1"
        step="0.01"
        :value="chroma"
        @input="shape({ chroma: valueOf($event) })"
        @change="emit('keep')"
      />
      <span class="value w-8.5">{{ Math.round(chroma * 100) }} %</span>
    </label>
    <label class="flex items-center gap-2">
      Light span
      <input
        type="range"
        class="slider w-18"
        min="0"
        max="0.8"
        step="0.01"
        :value="span"
        @input="shape({ span: valueOf($event) })"
        @change="emit('keep')"
      />
      <span class="value w-8.5">{{ formatFixed(span, 2) }}</span>
    </label>
    <div class="ml-auto flex items-center gap-2">
      <button
        type="button"
        class="button"
        :aria-pressed="harmony.web_safe"
        :class="harmony.web_safe && 'bg-ink! text-sheet!'"
        title="New values are the nearest of the 216 web-safe colours"
        @click="emit('webSafe', !harmony.web_safe)"
      >
        216
      </button>
      <ChoiceList
        class="w-44"
        label="Character"
        :model-value="harmony.character ?? ''"
        :options="characters"
        up
        @update:model-value="setCharacter"
      />
      <button
        type="button"
        class="button"
        :aria-pressed="isVarying"
        :class="isVarying && 'bg-ink! text-sheet!'"
        @click="emit('vary')"
      >
        Vary what is free
      </button>
    </div>
  </div>
</template>
