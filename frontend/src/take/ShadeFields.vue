<script setup lang="ts">
import { computed } from 'vue'
import type { SwatchFigures } from '@/api/types'
import { useChange } from './useChange'
import NumberField from '@/ui/NumberField.vue'

const props = defineProps<{ figures: SwatchFigures }>()
const change = useChange()

const shade = computed(
  () =>
    [
      {
        name: 'lightness',
        label: 'Lightness',
        value: props.figures.lightness,
        digits: 3,
        step: 0.01,
        most: 1,
      },
      {
        name: 'chroma',
        label: 'Chroma',
        value: props.figures.chroma,
        digits: 3,
        step: 0.01,
        most: 0.4,
      },
      { name: 'hue', label: 'Hue', value: props.figures.hue, digits: 1, step: 1, most: 360 },
    ] as const,
)
const CHANNELS = [
  { name: 'red', label: 'Red' },
  { name: 'green', label: 'Green' },
  { name: 'blue', label: 'Blue' },
] as const

/** One number becomes another; what the others are by then is for the server to see. */
function set(number: 'lightness' | 'chroma' | 'hue' | 'red' | 'green' | 'blue', value: number) {
  void change.make({ kind: 'number', swatch: props.figures.id, number, value })
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
          fills
          :min="0"
          :max="one.most"
          :step="one.step"
          :digits="one.digits"
          :value="one.value"
          @set="set(one.name, $event)"
        />
      </label>
      <label v-for="(channel, place) in CHANNELS" :key="channel.name" class="text-small text-quiet">
        {{ channel.label }}
        <NumberField
          class="field value text-ink"
          fills
          :min="0"
          :max="255"
          is-whole
          :value="figures.srgb8[place]"
          @set="set(channel.name, $event)"
        />
      </label>
    </div>
  </fieldset>
</template>
