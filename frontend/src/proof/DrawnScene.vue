<script setup lang="ts">
import { computed } from 'vue'
import { drawingOf } from './drawings'

/** A drawn picture that fills its box; each shape wears a paint of the take. */
const props = defineProps<{ scene: string }>()
const drawing = computed(() => drawingOf(props.scene))
const fill = (paint: string) => ({ fill: `var(--paint-${paint.replace(' ', '-')})` })
</script>

<template>
  <svg
    :viewBox="`0 0 ${drawing.width} ${drawing.height}`"
    preserveAspectRatio="xMidYMid slice"
    role="img"
    :aria-label="drawing.label"
    :data-scene="scene"
  >
    <path
      v-for="(one, row) in drawing.shapes"
      :key="row"
      fill-rule="evenodd"
      :d="one.outline"
      :data-paint="one.paint"
      :style="fill(one.paint)"
    />
  </svg>
</template>
