<script setup lang="ts">
import type { Box } from './layout'
import { NOTE } from './layout'

defineProps<{
  x: number
  y: number
  label: Box
  name: string
  hex: string
  spoken: string
  hue: number
  isSelected: boolean
  isAnchor: boolean
  isHeld: boolean
}>()
</script>

<template>
  <div>
    <div
      role="slider"
      tabindex="0"
      class="keeps-color absolute touch-none rounded-full border-black outline-offset-3"
      :class="isSelected ? 'cursor-grabbing' : 'cursor-grab'"
      :style="{
        left: `${x - NOTE}px`,
        top: `${y - NOTE}px`,
        width: `${NOTE * 2}px`,
        height: `${NOTE * 2}px`,
        borderWidth: isAnchor || isSelected ? '3px' : '1.5px',
        backgroundColor: hex,
        boxShadow: 'inset 0 0 0 2px #ffffff',
      }"
      aria-roledescription="note"
      :title="`${name}: ${spoken}`"
      :aria-label="name"
      :aria-valuetext="spoken"
      :aria-valuenow="Math.round(hue)"
      aria-valuemin="0"
      aria-valuemax="360"
    ></div>
    <span
      class="pointer-events-none absolute border border-hair bg-sheet px-1.5 text-small leading-4 whitespace-nowrap"
      :class="isSelected && 'border-ink font-semibold'"
      :style="{ left: `${label.left}px`, top: `${label.top}px` }"
      aria-hidden="true"
      ><bdi>{{ name }}</bdi
      ><span v-if="isHeld" class="text-quiet">, held</span></span
    >
  </div>
</template>
