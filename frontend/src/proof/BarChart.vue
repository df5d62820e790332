<script setup lang="ts">
import { computed } from 'vue'
import { useGround, useProofContext } from './context'
import { turned } from './turned'
import PartOf from './PartOf.vue'

const VALUES = [128, 84, 142, 66, 41] as const
const ground = useGround()
const context = useProofContext()
const chart = computed(() => context.value.copy.dashboard.bars)
const bars = computed(() =>
  turned(VALUES, chart.value.heading.length)
    .slice(0, ground?.value?.series.length)
    .map((value, row) => ({
      value,
      name: chart.value.names[row] ?? '',
    })),
)
</script>

<template>
  <figure class="stack">
    <PartOf name="Bar chart’s heading" element="heading" as="h2" look="h3">{{
      chart.heading
    }}</PartOf>
    <ul class="stack">
      <li v-for="(bar, row) in bars" :key="row">
        <PartOf :name="`Bar label, ${bar.name}`" element="text" as="span" look="small"
          >{{ bar.name }}, {{ bar.value }}</PartOf
        >
        <svg viewBox="0 0 150 8" preserveAspectRatio="none" class="bar" aria-hidden="true">
          <rect
            :width="bar.value"
            height="8"
            :style="{ fill: `var(--series-${row})` }"
            :data-part="`Bar, ${bar.name}`"
            :data-series="row"
          />
        </svg>
      </li>
    </ul>
  </figure>
</template>
