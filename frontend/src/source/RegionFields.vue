<script setup lang="ts">
import type { Region } from '@/api/types'
import NumberField from '@/ui/NumberField.vue'

/** The part of a picture that is read, by numbers: what a rectangle does by dragging. */
const props = defineProps<{ region: Region | null }>()
const emit = defineEmits<{ change: [region: Region] }>()

const WHOLE: Region = { left: 0, top: 0, width: 1, height: 1 }
const SIDES = [
  { side: 'left', label: 'Left' },
  { side: 'top', label: 'Top' },
  { side: 'width', label: 'Width' },
  { side: 'height', label: 'Height' },
] as const
type Side = (typeof SIDES)[number]['side']

const percent = (side: Side) => Math.round((props.region ?? WHOLE)[side] * 100)

const HALVES = { left: 'width', top: 'height' } as const
const ENDS = { width: 'left', height: 'top' } as const
const isPlace = (side: Side): side is 'left' | 'top' => side in HALVES

/** A part that ends at the edge of the picture. */
const reachesEdge = (place: 'left' | 'top') => percent(place) + percent(HALVES[place]) >= 100

/** The most that fits: a part stays within its picture. */
function most(side: Side) {
  if (!isPlace(side)) return 100 - percent(ENDS[side])
  return reachesEdge(side) ? 99 : 100 - percent(HALVES[side])
}

/** A place moves the part; of one that ends at the edge of the picture, the edge stays. */
function set(side: Side, value: number) {
  const wanted = { ...(props.region ?? WHOLE), [side]: value / 100 }
  if (isPlace(side) && reachesEdge(side)) wanted[HALVES[side]] = 1 - wanted[side]
  emit('change', wanted)
}
</script>

<template>
  <fieldset class="flex flex-wrap items-center gap-x-3 gap-y-1">
    <legend class="sr-only">Part of the picture, in per cent of it</legend>
    <label v-for="{ side, label } in SIDES" :key="side" class="flex items-center gap-1">
      {{ label }}
      <NumberField
        class="field value w-15! px-1.5!"
        :min="isPlace(side) ? 0 : 1"
        :max="most(side)"
        :value="percent(side)"
        @set="set(side, $event)"
      />
    </label>
    <span class="text-quiet">%</span>
  </fieldset>
</template>
