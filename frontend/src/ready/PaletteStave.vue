<script setup lang="ts">
import { computed } from 'vue'
import type { Palette } from '@/api/types'

/** A palette as notes: hue across, contrast up, neutrals in their lane; the lines reckon from its Paper. */
const props = defineProps<{ palette: Palette }>()
const WIDTH = 232
const HEIGHT = 84
const LANE = 10
const LEFT = 26
const RIGHT = 222
const TOP = 7
const BOTTOM = 77
const GROUNDS = new Set<string>(['paper', 'mist', 'deep', 'ink'])

const y = (position: number) => BOTTOM - position * (BOTTOM - TOP)
const notes = computed(() =>
  props.palette.colors.map((one) => ({
    ...one,
    isGround: GROUNDS.has(one.role),
    x: one.across === null || GROUNDS.has(one.role) ? LANE : LEFT + one.across * (RIGHT - LEFT),
    y: y(one.position),
  })),
)
</script>

<template>
  <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" class="keeps-color block w-full" aria-hidden="true">
    <line
      v-for="line in palette.lines"
      :key="line"
      x1="2"
      :x2="WIDTH - 2"
      :y1="y(line)"
      :y2="y(line)"
      class="stroke-quiet"
      stroke-width="0.8"
    />
    <template v-for="note in notes" :key="note.role">
      <rect
        v-if="note.isGround"
        :x="note.x - 5"
        :y="note.y - 5"
        width="10"
        height="10"
        :fill="note.hex"
        class="stroke-ink"
      />
      <circle v-else :cx="note.x" :cy="note.y" r="7" :fill="note.hex" class="stroke-ink" />
    </template>
  </svg>
</template>
