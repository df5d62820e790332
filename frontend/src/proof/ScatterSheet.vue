<script setup lang="ts">
import { computed } from 'vue'
import type { Evaluation } from '@/api/types'
import { arranged, BOX } from './scatter'
import type { Arrangement } from './scatter'

/** How the colours sit among each other, each as often as it is planned. */
const props = defineProps<{ evaluation: Evaluation; arrangement: Arrangement }>()
const shapes = computed(() => arranged(props.evaluation.measure, props.arrangement))
const ground = computed(
  () => props.evaluation.measure.find((cell) => cell.roles.includes('paper'))?.hex ?? '#ffffff',
)
</script>

<template>
  <svg
    class="keeps-color h-full w-full"
    :viewBox="`0 0 ${BOX.width} ${BOX.height}`"
    preserveAspectRatio="xMidYMid meet"
    role="img"
    aria-label="The colours in their shares, as many small shapes"
    data-testid="scatter"
  >
    <rect :width="BOX.width" :height="BOX.height" :style="{ fill: ground }" />
    <path v-for="(one, row) in shapes" :key="row" :d="one.path" :style="{ fill: one.hex }" />
  </svg>
</template>
