<script setup lang="ts">
import { computed } from 'vue'
import type { Recoloured } from '@/api/types'
import UndecidedList from './UndecidedList.vue'
import { countOf } from '@/ui/format'

/** What stays as it is, and every line that changes. */
const props = defineProps<{ made: Recoloured }>()
const lines = computed(() =>
  props.made.diff.split('\n').map((text) => ({
    text,
    kind: text.startsWith('+') ? 'new' : text.startsWith('-') ? 'old' : 'same',
  })),
)
</script>

<template>
  <UndecidedList
    v-if="made.undecided.length"
    :places="made.undecided"
    :title="`${countOf(made.undecided.length, 'place stays', 'places stay')} as ${made.undecided.length === 1 ? 'it is' : 'they are'}`"
  />
  <details class="border border-hair bg-sheet px-3 py-2">
    <summary class="cursor-pointer font-semibold">Every line that changes</summary>
    <pre
      class="value mt-2 max-h-130 overflow-auto text-small"
      tabindex="0"
      role="region"
      aria-label="What changes"
      data-testid="diff"
    ><span v-for="(line, row) in lines" :key="row" class="block" :class="line.kind === 'old' ? 'text-quiet line-through' : line.kind === 'new' && 'font-bold'">{{ line.text || ' ' }}</span></pre>
  </details>
</template>
