<script setup lang="ts">
import PartOf from './PartOf.vue'
import StandOn from './StandOn.vue'

/** A message of the page: the signal in its frame and mark, the words in the colour of text. */
defineProps<{ figure: 'good' | 'caution' | 'bad' | 'note'; name: string }>()
const MARKS = {
  good: 'M4 12l5 5L20 6',
  caution: 'M12 4L2 20h20zM12 10v5',
  bad: 'M5 5l14 14M19 5L5 19',
  note: 'M12 3v2M12 9v12',
} as const
</script>

<template>
  <StandOn as="div">
    <PartOf :name="name" :figure="figure" as="div" class="message">
      <svg
        viewBox="0 0 24 24"
        aria-hidden="true"
        fill="none"
        stroke="currentColor"
        stroke-width="3"
      >
        <path :d="MARKS[figure]" />
      </svg>
      <PartOf :name="`${name}, text`" figure="text" look="text"><slot /></PartOf>
    </PartOf>
  </StandOn>
</template>
