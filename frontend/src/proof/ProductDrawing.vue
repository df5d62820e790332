<script setup lang="ts">
import { computed } from 'vue'
import { useGround } from './context'

/** A mug, drawn in the colours that charts take on this ground. */
const ground = useGround()
const count = computed(() => ground?.value?.series.length ?? 0)
const fill = (row: number) => ({
  fill: `var(--series-${(row % Math.max(1, count.value)).toString()})`,
})
</script>

<template>
  <svg viewBox="0 0 320 240" class="swash" role="img" aria-label="An enamel mug">
    <path
      :style="fill(1)"
      data-part="Mug’s handle"
      data-series="1"
      d="M206 84h34a28 28 0 0 1 28 28v22a28 28 0 0 1-28 28h-34v-18h32a12 12 0 0 0 12-12v-18a12 12 0 0 0-12-12h-32z"
    />
    <path
      :style="fill(0)"
      data-part="Mug"
      data-series="0"
      d="M76 52h140v128a24 24 0 0 1-24 24h-92a24 24 0 0 1-24-24z"
    />
    <path :style="fill(2)" data-part="Mug’s rim" data-series="2" d="M68 44h156v14h-156z" />
  </svg>
</template>
