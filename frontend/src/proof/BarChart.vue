<script setup lang="ts">
import { computed } from 'vue'
import { useGround } from './context'
import PartOf from './PartOf.vue'

const BARS = [
  { name: 'By the door', value: 128 },
  { name: 'By telephone', value: 84 },
  { name: 'From the site', value: 142 },
  { name: 'From schools', value: 66 },
  { name: 'From the town', value: 41 },
] as const
const ground = useGround()
const bars = computed(() => BARS.slice(0, ground?.value?.series.length))
</script>

<template>
  <figure class="stack">
    <PartOf name="Bar chart’s heading" element="heading" as="h2" look="h3"
      >How they found us</PartOf
    >
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
