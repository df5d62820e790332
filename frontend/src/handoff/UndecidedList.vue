<script setup lang="ts">
import type { Recoloured } from '@/api/types'
import { countOf } from '@/ui/format'

/** Places in a stylesheet that have to do with colour and aren’t understood, with the reason. */
defineProps<{ places: Recoloured['undecided']; title: string }>()
</script>

<template>
  <details class="border border-hair bg-sheet px-3 py-2">
    <summary class="cursor-pointer font-semibold" data-testid="undecided">{{ title }}</summary>
    <ul class="mt-1 max-h-60 overflow-y-auto">
      <li v-for="(one, row) in places" :key="row" class="py-0.5">
        <span class="value">{{ one.file }}, line {{ one.line }}</span>
        <span class="ml-2 text-quiet">
          {{ one.reason
          }}<template v-if="one.count > 1"
            >, {{ countOf(one.count, 'time', 'times').toLowerCase() }}</template
          >
        </span>
        <code class="value block truncate">{{ one.text }}</code>
      </li>
    </ul>
  </details>
</template>
