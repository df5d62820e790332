<script setup lang="ts">
import type { Region } from '@/api/types'
import NumberField from '@/ui/NumberField.vue'

/** The part of a picture that is read, by numbers: what a rectangle does by dragging. */
const props = defineProps<{ region: Region | null }>()
const emit = defineEmits<{ change: [region: Region] }>()

const WHOLE: Region = { left: 0, top: 0, width: 1, height: 1 }
const LEAST = 0.01
const SIDES = [
  { side: 'left', label: 'Left' },
  { side: 'top', label: 'Top' },
  { side: 'width', label: 'Width' },
  { side: 'height', label: 'Height' },
] as const
type Side = (typeof SIDES)[number]['side']

const percent = (side: Side) => Math.round((props.region ?? WHOLE)[side] * 100)

/** A place moves the part, which keeps its size as far as the picture goes. */
function set(side: Side, percent: number) {
  emit('change', within({ ...(props.region ?? WHOLE), [side]: percent / 100 }))
}

function within(wanted: Region): Region {
  const between = (low: number, value: number, high: number) => Math.min(high, Math.max(low, value))
  const left = between(0, wanted.left, 1 - LEAST)
  const top = between(0, wanted.top, 1 - LEAST)
  return {
    left,
    top,
    width: between(LEAST, wanted.width, 1 - left),
    height: between(LEAST, wanted.height, 1 - top),
  }
}
</script>

<template>
  <fieldset class="flex flex-wrap items-center gap-x-3 gap-y-1">
    <legend class="sr-only">Part of the picture, in per cent of it</legend>
    <label v-for="{ side, label } in SIDES" :key="side" class="flex items-center gap-1">
      {{ label }}
      <NumberField
        class="field value w-15! px-1.5!"
        :min="0"
        :max="100"
        :value="percent(side)"
        @set="set(side, $event)"
      />
    </label>
    <span class="text-quiet">%</span>
  </fieldset>
</template>
