<script setup lang="ts">
import { arrowOf } from '@/ui/arrows'
import { computed, ref } from 'vue'
import { useEscape } from '@/ui/keys'
import type { Region } from '@/api/types'

const props = defineProps<{ region: Region | null; label?: string }>()
const emit = defineEmits<{ change: [region: Region | null] }>()
const area = ref<HTMLElement>()
const start = ref<{ x: number; y: number }>()
const drawn = ref<Region>()
/** A smaller rectangle was a slip of the hand. */
const SMALLEST = 0.01
const STEP = 0.02

const shown = computed(() => drawn.value ?? props.region ?? undefined)

function placeOf(event: PointerEvent) {
  const box = area.value?.getBoundingClientRect()
  const inside = (value: number) => Math.min(1, Math.max(0, value))
  return box
    ? {
        x: inside((event.clientX - box.left) / box.width),
        y: inside((event.clientY - box.top) / box.height),
      }
    : { x: 0, y: 0 }
}

function press(event: PointerEvent) {
  start.value = placeOf(event)
  area.value?.setPointerCapture(event.pointerId)
}

function drag(event: PointerEvent) {
  if (!start.value) return
  const now = placeOf(event)
  drawn.value = {
    left: Math.min(start.value.x, now.x),
    top: Math.min(start.value.y, now.y),
    width: Math.abs(now.x - start.value.x),
    height: Math.abs(now.y - start.value.y),
  }
}

function release() {
  const region = drawn.value
  start.value = drawn.value = undefined
  if (region && region.width > SMALLEST && region.height > SMALLEST) emit('change', region)
}

function cancel() {
  start.value = drawn.value = undefined
}
useEscape(() => start.value !== undefined, cancel)

/** Enter begins with the middle; arrows move, with Shift they resize; Delete reads the whole again. */
function step(event: KeyboardEvent) {
  const arrow = arrowOf(event)
  if (event.key === 'Enter' && !props.region)
    emit('change', { left: 0.25, top: 0.25, width: 0.5, height: 0.5 })
  else if (event.key === 'Delete' || event.key === 'Backspace') emit('change', null)
  else if (arrow && props.region)
    emit('change', moved(props.region, [arrow[0] * STEP, arrow[1] * STEP], event.shiftKey))
  else return
  event.preventDefault()
}

function moved(region: Region, [x, y]: readonly [number, number], resizes: boolean): Region {
  const between = (low: number, value: number, high: number) => Math.min(high, Math.max(low, value))
  return resizes
    ? {
        ...region,
        width: between(STEP, region.width + x, 1 - region.left),
        height: between(STEP, region.height + y, 1 - region.top),
      }
    : {
        ...region,
        left: between(0, region.left + x, 1 - region.width),
        top: between(0, region.top + y, 1 - region.height),
      }
}

const percent = (value: number) => `${value * 100}%`
const box = computed(
  () =>
    shown.value && {
      left: percent(shown.value.left),
      top: percent(shown.value.top),
      width: percent(shown.value.width),
      height: percent(shown.value.height),
    },
)
</script>

<template>
  <div
    ref="area"
    role="application"
    tabindex="0"
    :aria-label="
      label ??
      'Part of the picture to read: drag a rectangle, or press Enter and use the arrows, with Shift to resize; Delete reads the whole picture'
    "
    class="absolute inset-0 cursor-crosshair touch-none"
    data-testid="region"
    @pointerdown="press"
    @pointermove="drag"
    @pointerup="release"
    @pointercancel="cancel"
    @keydown="step"
  >
    <div
      v-if="box"
      class="absolute border-2 border-black outline-2 outline-white"
      :style="box"
    ></div>
  </div>
</template>
