<script setup lang="ts">
import PartOf from './PartOf.vue'
import StandOn from './StandOn.vue'

/** A message of the page: the signal in its frame and mark, the words in the colour of text. */
defineProps<{ element: 'success' | 'warning' | 'error' | 'info'; name: string }>()
const MARKS = {
  success: 'M4 12l5 5L20 6',
  warning: 'M12 4L2 20h20zM12 10v5',
  error: 'M5 5l14 14M19 5L5 19',
  info: 'M12 3v2M12 9v12',
} as const
</script>

<template>
  <StandOn as="div">
    <PartOf :name="name" :element="element" as="div" class="message">
      <svg
        viewBox="0 0 24 24"
        aria-hidden="true"
        fill="none"
        stroke="currentColor"
        stroke-width="3"
      >
        <path :d="MARKS[element]" />
      </svg>
      <PartOf :name="`${name}, text`" element="text" look="text"><slot /></PartOf>
    </PartOf>
  </StandOn>
</template>
