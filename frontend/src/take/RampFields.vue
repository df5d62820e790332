<script setup lang="ts">
import { computed } from 'vue'
import type { RampSettings, Swatch } from '@/api/types'
import ChoiceList from '@/ui/ChoiceList.vue'
import { useChange } from './useChange'
import { useLimits } from './useLimits'
import NumberField from '@/ui/NumberField.vue'

const props = defineProps<{ swatch: Swatch }>()
const change = useChange()
const limits = useLimits()

const KINDS = [
  { value: 'even', label: 'Even in lightness' },
  { value: 'steady', label: 'Even, chroma held' },
  { value: 'mix', label: 'Mixed with white and black' },
] as const
const counts = computed(() =>
  props.swatch.ramp.kind !== 'mix'
    ? [
        {
          name: 'steps',
          label: 'Steps',
          least: limits.value?.least_steps ?? 0,
          most: limits.value?.most_steps ?? 0,
          value: props.swatch.ramp.steps,
        } as const,
      ]
    : [
        {
          name: 'tints',
          label: 'Tints',
          least: 0,
          most: limits.value?.most_mixed ?? 0,
          value: props.swatch.ramp.tints,
        } as const,
        {
          name: 'shades',
          label: 'Shades',
          least: 0,
          most: limits.value?.most_mixed ?? 0,
          value: props.swatch.ramp.shades,
        } as const,
      ],
)

const set = (ramp: Partial<RampSettings>) =>
  change.make({ kind: 'ramp', swatch: props.swatch.id, ramp })
</script>

<template>
  <fieldset class="mt-4">
    <legend class="text-quiet">Its ramp</legend>
    <ChoiceList
      class="mt-1"
      label="Kind of ramp"
      align="left"
      :model-value="swatch.ramp.kind"
      :options="KINDS"
      @update:model-value="set({ kind: $event })"
    />
    <div class="mt-2 flex gap-3">
      <label v-for="one in counts" :key="one.name" class="flex items-center gap-2">
        {{ one.label }}
        <NumberField
          class="field value w-16"
          :min="one.least"
          :max="one.most"
          :value="one.value"
          is-whole
          @set="set({ [one.name]: $event })"
        />
      </label>
    </div>
  </fieldset>
</template>
