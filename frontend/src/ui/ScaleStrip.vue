<script setup lang="ts">
defineProps<{ swatches: readonly { hex: string; position: number }[] }>()

const WIDTH = 340
const MARGIN = 12
const x = (position: number) => MARGIN + position * (WIDTH - 2 * MARGIN)
const TICKS = Array.from({ length: 11 }, (_, step) => step / 10)
</script>

<template>
  <!-- The palette as it will be met everywhere: each colour at its place on the contrast scale. -->
  <svg :viewBox="`0 0 ${WIDTH} 34`" class="keeps-color h-8.5 w-full" aria-hidden="true">
    <line :x1="x(0)" :x2="x(1)" y1="17" y2="17" class="stroke-ink" />
    <line
      v-for="tick in TICKS"
      :key="tick"
      :x1="x(tick)"
      :x2="x(tick)"
      y1="14"
      y2="20"
      class="stroke-ink"
    />
    <circle
      v-for="(swatch, row) in swatches"
      :key="row"
      :cx="x(swatch.position)"
      cy="17"
      r="9"
      :fill="swatch.hex"
      class="stroke-ink"
    />
  </svg>
</template>
