<script setup lang="ts">
import { computed } from 'vue'
import type { Neutral, TakeDocument } from '@/api/types'
import ChoiceList from '@/ui/ChoiceList.vue'
import RemoveButton from '@/take/RemoveButton.vue'
import { useChange } from '@/take/useChange'
import { useLimits } from '@/take/useLimits'
import NumberField from '@/ui/NumberField.vue'

const props = defineProps<{ document: TakeDocument }>()
const { make } = useChange()

const SPACINGS = [
  { value: 'contrast', label: 'Even in contrast' },
  { value: 'lightness', label: 'Even in lightness' },
] as const
const limits = useLimits()
const tints = computed(() => [
  { value: '', label: 'Pure grey' },
  ...props.document.swatches.map((one) => ({ value: one.id, label: `Tinted by ${one.name}` })),
])

const set = ({ id }: Neutral, changes: Partial<Neutral>) =>
  make({ kind: 'neutral', neutral: { ...changes, id } })
const add = () => make({ kind: 'add neutral' })
const numberOf = (event: Event) =>
  event.target instanceof HTMLInputElement ? event.target.valueAsNumber : NaN

function setName(neutral: Neutral, event: Event) {
  const name = event.target instanceof HTMLInputElement ? event.target.value.trim() : ''
  if (name) void set(neutral, { name })
}
</script>

<template>
  <h2 class="text-title">Neutrals</h2>
  <p class="mt-1 text-quiet">
    Greys for backgrounds, quiet text and lines. Each one is a row of the chart.
  </p>
  <fieldset
    v-for="neutral in document.neutrals"
    :key="neutral.id"
    class="mt-3 min-w-0 border-t border-ink pt-2"
  >
    <legend class="sr-only">{{ neutral.name }}</legend>
    <label class="text-small text-quiet">
      Name
      <input
        class="field text-ink"
        maxlength="80"
        :value="neutral.name"
        @change="setName(neutral, $event)"
      />
    </label>
    <ChoiceList
      class="mt-2"
      label="Tint"
      align="left"
      :model-value="neutral.tint ?? ''"
      :options="tints"
      @update:model-value="set(neutral, { tint: $event || null })"
    />
    <label class="mt-2 flex items-center gap-2" :class="neutral.tint === null && 'text-quiet'">
      <span class="w-16">Strength</span>
      <input
        type="range"
        class="slider min-w-0 flex-1"
        min="0"
        max="1"
        step="0.05"
        :disabled="neutral.tint === null"
        :value="neutral.strength"
        :aria-valuetext="`${Math.round(neutral.strength * 100).toString()} per cent`"
        @change="set(neutral, { strength: numberOf($event) })"
      />
    </label>
    <ChoiceList
      class="mt-2"
      label="Spacing"
      align="left"
      :model-value="neutral.spacing"
      :options="SPACINGS"
      @update:model-value="set(neutral, { spacing: $event })"
    />
    <label class="mt-2 flex items-center gap-2"
      ><span class="w-16">Steps</span>
      <NumberField
        class="field value w-16"
        :min="limits?.least_steps"
        :max="limits?.most_steps"
        :value="neutral.steps"
        is-whole
        @set="set(neutral, { steps: $event })"
    /></label>
    <RemoveButton class="mt-2" :owner="neutral.id" :name="neutral.name" />
  </fieldset>
  <button
    v-if="limits && document.neutrals.length < limits.neutrals"
    type="button"
    class="button mt-3"
    @click="add"
  >
    Add neutrals
  </button>
</template>
