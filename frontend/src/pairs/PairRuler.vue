<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import type { PairFigures } from '@/api/types'
import { formatNeeded } from '@/ui/format'

const props = defineProps<{ pair: PairFigures; greys: readonly string[] }>()

/** Drawn pixel by pixel, so that its text is as large as any other. */
const ruler = useTemplateRef<SVGSVGElement>('ruler')
const { width } = useElementSize(ruler, { width: 240, height: 52 })
const MARGIN = 9
/** A place of 0 to 1 on the contrast scale, in the drawing. */
const x = (position: number) => MARGIN + position * (width.value - 2 * MARGIN)

const bracket = computed(() => ({
  start: x(Math.max(0, props.pair.bracket_start)),
  end: x(Math.min(1, props.pair.bracket_end)),
}))
const label = computed(() => {
  const middle = (bracket.value.start + bracket.value.end) / 2
  return Math.min(Math.max(middle, 22), width.value - 22)
})
</script>

<template>
  <svg ref="ruler" class="keeps-color h-13 w-full" aria-hidden="true">
    <text :x="label" y="11" text-anchor="middle" class="fill-ink text-[11px]">
      {{ formatNeeded(pair.needed) }}
    </text>
    <path
      :d="`M${bracket.start} 21V15H${bracket.end}V21`"
      fill="none"
      class="stroke-ink"
      stroke-width="1.2"
    />
    <rect
      v-for="(grey, step) in greys"
      :key="step"
      :x="x(step / greys.length)"
      y="24"
      :width="x(1 / greys.length) - x(0) + 0.4"
      height="5"
      :fill="grey"
    />
    <rect
      :x="x(0)"
      y="24"
      :width="x(1) - x(0)"
      height="5"
      fill="none"
      class="stroke-ink"
      stroke-width="0.8"
    />
    <line
      :x1="x(pair.ground_position)"
      :x2="x(pair.text_position)"
      y1="41"
      y2="41"
      class="stroke-ink"
      :stroke-width="pair.outcome === 'fails' ? 2.5 : 2"
      :stroke-dasharray="pair.outcome === 'fails' ? '3 3' : undefined"
    />
    <circle
      :cx="x(pair.ground_position)"
      cy="41"
      r="8"
      :fill="pair.ground_hex"
      class="stroke-ink"
      stroke-width="1.2"
    />
    <circle
      :cx="x(pair.text_position)"
      cy="41"
      r="5.5"
      :fill="pair.text_hex"
      class="stroke-ink"
      stroke-width="1.2"
    />
  </svg>
</template>
