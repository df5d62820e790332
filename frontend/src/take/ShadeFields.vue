<script setup lang="ts">
import { computed } from 'vue'
import type { SwatchFigures } from '@/api/types'
import { useChange } from './useChange'
import { formatFixed } from '@/ui/format'
import NumberField from '@/ui/NumberField.vue'

const props = defineProps<{ figures: SwatchFigures }>()
const change = useChange()

const shade = computed(
  () =>
    [
      {
        name: 'lightness',
        label: 'Lightness',
        value: formatFixed(props.figures.lightness, 3),
        step: 0.01,
        most: 1,
      },
      {
        name: 'chroma',
        label: 'Chroma',
        value: formatFixed(props.figures.chroma, 3),
        step: 0.01,
        most: 0.4,
      },
      { name: 'hue', label: 'Hue', value: formatFixed(props.figures.hue, 1), step: 1, most: 360 },
    ] as const,
)
const CHANNELS = [
  { name: 'red', label: 'Red' },
  { name: 'green', label: 'Green' },
  { name: 'blue', label: 'Blue' },
] as const

/** One number becomes another; what the others are by then is for the server to see. */
function set(
  number: 'lightness' | 'chroma' | 'hue' | 'red' | 'green' | 'blue',
  most: number,
  event: Event,
) {
  const value = event.target instanceof HTMLInputElement ? event.target.valueAsNumber : NaN
  if (!Number.isFinite(value)) return
  const within = Math.min(most, Math.max(0, value))
  void change.make({ kind: 'number', swatch: props.figures.id, number, value: within })
}
</script>

<template>
  <fieldset class="mt-3">
    <legend class="sr-only">Shade, and red, green and blue</legend>
    <div class="grid grid-cols-3 gap-x-2 gap-y-1.5">
      <label v-for="one in shade" :key="one.name" class="text-small text-quiet">
        {{ one.label }}
        <NumberField
          class="field value text-ink"
          min="0"
          :max="one.most"
          :step="one.step"
          :value="one.value"
          @change="set(one.name, one.most, $event)"
        />
      </label>
      <label v-for="(channel, place) in CHANNELS" :key="channel.name" class="text-small text-quiet">
        {{ channel.label }}
        <NumberField
          class="field value text-ink"
          min="0"
          max="255"
          step="1"
          :value="figures.srgb8[place]"
          @change="set(channel.name, 255, $event)"
        />
      </label>
    </div>
  </fieldset>
</template>
