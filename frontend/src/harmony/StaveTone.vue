<script setup lang="ts">
import type { Box } from './layout'
import { TONE } from './layout'

defineProps<{
  x: number
  y: number
  label: Box
  name: string
  hex: string
  spoken: string
  isSelected: boolean
}>()
</script>

<template>
  <div>
    <button
      type="button"
      class="keeps-color absolute border-black outline-offset-2 before:absolute before:-inset-1.25"
      :style="{
        left: `${x - TONE}px`,
        top: `${y - TONE}px`,
        width: `${TONE * 2}px`,
        height: `${TONE * 2}px`,
        borderWidth: isSelected ? '3px' : '1px',
        backgroundColor: hex,
      }"
      :aria-label="spoken"
      :title="spoken"
    ></button>
    <span
      class="pointer-events-none absolute bg-sheet px-1 text-small leading-4 whitespace-nowrap text-quiet"
      :style="{ left: `${label.left}px`, top: `${label.top}px` }"
      aria-hidden="true"
      ><bdi>{{ name }}</bdi></span
    >
  </div>
</template>
