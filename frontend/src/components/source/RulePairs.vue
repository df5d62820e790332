<script setup lang="ts">
import type { StylesheetReading } from '@/api/types'
import { formatRatio } from '@/format'

defineProps<{ pairs: StylesheetReading['pairs'] }>()
/** What body text needs at level AA, to mark what is plainly too weak. */
const LEAST_FOR_TEXT = 4.5
</script>

<template>
  <ul class="border-t border-ink" data-testid="rule-pairs">
    <li
      v-for="pair in pairs"
      :key="`${pair.text}${pair.ground}`"
      class="grid grid-cols-[150px_minmax(0,1fr)_56px_150px] items-stretch gap-3 border-b border-hair bg-sheet"
    >
      <span
        data-specimen
        class="keeps-color flex min-h-10 items-center px-3"
        :style="{ color: pair.text, backgroundColor: pair.ground }"
        >Open at nine</span
      >
      <span class="value self-center truncate" :title="pair.selector">{{ pair.selector }}</span>
      <span class="value self-center text-right">{{ formatRatio(pair.ratio) }}</span>
      <span
        class="self-center"
        :class="pair.ratio < LEAST_FOR_TEXT ? 'font-semibold' : 'text-quiet'"
        >{{ pair.ratio < LEAST_FOR_TEXT ? 'Short for body text' : 'Enough for body text' }}</span
      >
    </li>
    <li v-if="!pairs.length" class="bg-sheet px-3 py-2 text-quiet">
      No rule sets both a text colour and a ground.
    </li>
  </ul>
</template>
