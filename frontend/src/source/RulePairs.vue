<script setup lang="ts">
import type { StylesheetReading } from '@/api/types'
import { formatRatio } from '@/ui/format'

defineProps<{ pairs: StylesheetReading['pairs'] }>()
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
      <span class="self-center" :class="pair.is_enough ? 'text-quiet' : 'font-semibold'">{{
        pair.is_enough ? 'Enough for body text' : 'Short for body text'
      }}</span>
    </li>
    <li v-if="!pairs.length" class="bg-sheet px-3 py-2 text-quiet">
      No rule sets both a text colour and a ground.
    </li>
  </ul>
</template>
