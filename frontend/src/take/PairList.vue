<script setup lang="ts">
import type { PairFigures } from '@/api/types'
import { formatRatio } from '@/ui/format'
import { verdictText } from './verdict'

defineProps<{ pairs: readonly PairFigures[] }>()
const emit = defineEmits<{ open: [id: string] }>()
</script>

<template>
  <h3 v-if="pairs.length" class="mt-4 text-quiet">
    In {{ pairs.length }} {{ pairs.length === 1 ? 'pair' : 'pairs' }}
  </h3>
  <ul class="rule-list">
    <li v-for="pair in pairs" :key="pair.id">
      <button
        type="button"
        class="flex w-full items-center gap-2 py-1 text-left hover:bg-surround"
        @click="emit('open', pair.id)"
      >
        <span
          data-specimen
          class="keeps-color w-8 flex-none text-center font-semibold"
          :style="{ color: pair.text_hex, backgroundColor: pair.ground_hex }"
          aria-hidden="true"
          >Aa</span
        >
        <span class="min-w-0 flex-1 truncate">{{ pair.text_name }} on {{ pair.ground_name }}</span>
        <span class="value">{{ formatRatio(pair.ratio) }}</span>
        <span class="sr-only">, {{ verdictText(pair) }}</span>
        <span v-if="pair.outcome === 'fails'" class="font-semibold" aria-hidden="true">short</span>
        <span v-else-if="pair.outcome === 'exempt'" aria-hidden="true">exempt</span>
      </button>
    </li>
  </ul>
</template>
