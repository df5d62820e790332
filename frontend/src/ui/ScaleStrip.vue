<script setup lang="ts">
defineProps<{ swatches: readonly { hex: string; position: number }[] }>()
const TICKS = Array.from({ length: 11 }, (_, step) => step * 10)
</script>

<template>
  <!-- The palette as it will be met everywhere: each colour at its place on the contrast scale. -->
  <div class="keeps-color relative mx-3 h-8.5" aria-hidden="true">
    <span class="absolute inset-x-0 top-1/2 border-t border-ink"></span>
    <span
      v-for="tick in TICKS"
      :key="tick"
      class="absolute top-1/2 h-2 -translate-y-1/2 border-l border-ink"
      :style="{ left: `${tick}%` }"
    ></span>
    <span
      v-for="(swatch, row) in swatches"
      :key="row"
      class="absolute top-1/2 h-4.5 w-4.5 -translate-1/2 rounded-full border border-ink"
      :style="{ left: `${100 * swatch.position}%`, backgroundColor: swatch.hex }"
    ></span>
  </div>
</template>
