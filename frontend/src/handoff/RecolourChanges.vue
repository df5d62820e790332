<script setup lang="ts">
import { computed } from 'vue'
import type { Recoloured } from '@/api/types'
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
  <details v-if="made.undecided.length" class="border border-hair bg-sheet px-3 py-2">
    <summary class="cursor-pointer font-semibold" data-testid="undecided">
      {{ countOf(made.undecided.length, 'place stays', 'places stay') }} as
      {{ made.undecided.length === 1 ? 'it is' : 'they are' }}
    </summary>
    <ul class="mt-1 max-h-60 overflow-y-auto">
      <li v-for="(one, row) in made.undecided" :key="row" class="py-0.5">
        <span class="value">{{ one.file }}, line {{ one.line }}</span>
        <span class="ml-2 text-quiet">
          {{ one.reason }}<template v-if="one.count > 1">, {{ one.count }} times</template>
        </span>
        <code class="value block truncate">{{ one.text }}</code>
      </li>
    </ul>
  </details>
  <details class="border border-hair bg-sheet px-3 py-2">
    <summary class="cursor-pointer font-semibold">Every line that changes</summary>
    <pre
      class="value mt-2 max-h-130 overflow-auto text-small"
      tabindex="0"
      aria-label="What changes"
      data-testid="diff"
    ><span v-for="(line, row) in lines" :key="row" class="block" :class="line.kind === 'old' ? 'text-quiet line-through' : line.kind === 'new' && 'font-bold'">{{ line.text || ' ' }}</span></pre>
  </details>
</template>
