<script setup lang="ts">
import { onBeforeUnmount } from 'vue'
import ChoiceList from '@/ui/ChoiceList.vue'
import { useSight } from '@/take/useSight'
import type { Sight } from '@/take/useSight'

const { sight, severity, filter } = useSight()
// Where the switch isn't shown there would be no way back from another sight.
onBeforeUnmount(() => (sight.value = 'typical'))
const SIGHTS: readonly { value: Sight; label: string }[] = [
  { value: 'typical', label: 'Typical vision' },
  { value: 'protan', label: 'Protan vision' },
  { value: 'deutan', label: 'Deutan vision' },
  { value: 'tritan', label: 'Tritan vision' },
  { value: 'no colour', label: 'No colour' },
]
</script>

<template>
  <section aria-label="Colour vision" class="flex items-center gap-2">
    <label
      v-if="sight !== 'typical'"
      class="flex items-center gap-2"
      title="Severity: 100% is complete, less is partial"
    >
      <span class="sr-only">Severity</span>
      <input
        v-model.number="severity"
        type="range"
        class="slider w-24"
        min="0"
        max="1"
        step="0.1"
        :aria-valuetext="`${Math.round(severity * 100).toString()} per cent`"
      />
      <span class="value w-11">{{ Math.round(severity * 100) }}%</span>
    </label>
    <ChoiceList v-model="sight" label="Colour vision" class="sight w-34" :options="SIGHTS" />
    <svg class="absolute h-0 w-0" aria-hidden="true">
      <filter id="sight" color-interpolation-filters="linearRGB">
        <feColorMatrix
          type="matrix"
          :values="filter || '1 0 0 0 0 0 1 0 0 0 0 0 1 0 0 0 0 0 1 0'"
        />
      </filter>
    </svg>
  </section>
</template>
