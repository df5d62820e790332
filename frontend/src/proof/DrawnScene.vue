<script setup lang="ts">
import { SCENES } from './scenes'
import type { SceneName } from './scenes'

/** A drawn picture that fills its box; each shape wears a paint of the take. */
defineProps<{ scene: SceneName }>()
const fill = (paint: string) => ({ fill: `var(--paint-${paint.replace(' ', '-')})` })
</script>

<template>
  <svg
    :viewBox="`0 0 ${SCENES[scene].width} ${SCENES[scene].height}`"
    preserveAspectRatio="xMidYMid slice"
    role="img"
    :aria-label="SCENES[scene].label"
    :data-scene="scene"
  >
    <path
      v-for="(one, row) in SCENES[scene].shapes"
      :key="row"
      fill-rule="evenodd"
      :d="one.outline"
      :data-paint="one.paint"
      :style="fill(one.paint)"
    />
  </svg>
</template>
