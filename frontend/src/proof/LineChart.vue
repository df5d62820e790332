<script setup lang="ts">
import { computed } from 'vue'
import { useGround, useProofContext } from './context'
import { turned } from './turned'
import PartOf from './PartOf.vue'

const SHAPES = [
  [30, 42, 38, 60, 74, 96, 120],
  [12, 18, 24, 22, 40, 52, 61],
  [8, 8, 20, 36, 30, 44, 82],
  [48, 44, 46, 40, 44, 36, 40],
  [4, 10, 6, 14, 12, 20, 18],
] as const
const ground = useGround()
const context = useProofContext()
const chart = computed(() => context.value.copy.dashboard.lines)
const lines = computed(() =>
  turned(SHAPES, chart.value.heading.length)
    .slice(0, ground?.value?.series.length)
    .map((values, row) => ({
      row,
      name: chart.value.names[row] ?? '',
      color: `var(--series-${row.toString()})`,
      end: 140 - (values[6] ?? 0),
      points: values
        .map((value, day) => `${(day * 60 + 8).toString()},${(140 - value).toString()}`)
        .join(' '),
    })),
)
</script>

<template>
  <figure class="stack">
    <PartOf name="Line chart’s heading" element="heading" as="h2" look="h3">{{
      chart.heading
    }}</PartOf>
    <svg viewBox="0 0 380 150" role="img" :aria-label="`${chart.heading}, rising to the weekend`">
      <path
        class="axis uses-line"
        d="M0 142h380"
        data-part="Line chart’s axis"
        data-element="line"
      />
      <polyline
        v-for="line in lines"
        :key="line.row"
        :points="line.points"
        :style="{ stroke: line.color, fill: 'none', strokeWidth: '3' }"
        :data-part="`Line of ${line.name}`"
        :data-series="line.row"
      />
    </svg>
    <figcaption class="row">
      <span v-for="line in lines" :key="line.row">
        <svg viewBox="0 0 10 10" width="12" height="12" class="key" aria-hidden="true">
          <rect width="10" height="10" :style="{ fill: line.color }" />
        </svg>
        <PartOf :name="`Legend of ${line.name}`" element="text" as="span" look="small">{{
          line.name
        }}</PartOf>
      </span>
    </figcaption>
  </figure>
</template>
