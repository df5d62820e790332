<script setup lang="ts">
import { computed } from 'vue'
import type { ProofFigures } from '@/api/types'
import { formatRatio } from '@/ui/format'
import { figuresOf } from './parts'
import type { Part } from './parts'

const props = defineProps<{ parts: readonly Part[]; proof: ProofFigures; short: boolean }>()
const emit = defineEmits<{ choose: [name: string] }>()

const rows = computed(() =>
  props.parts
    .map((part) => ({ part, use: figuresOf(part, props.proof) }))
    .filter(({ use }) => !props.short || (use && !use.passes)),
)
</script>

<template>
  <ul class="rule-list" data-testid="parts">
    <li v-for="{ part, use } in rows" :key="part.name">
      <button
        type="button"
        class="flex w-full items-center gap-2 py-1 text-left hover:bg-surround"
        @click="emit('choose', part.name)"
      >
        <span
          class="keeps-color h-4 w-4 flex-none border border-hair"
          :style="{ backgroundColor: use?.hex }"
        ></span>
        <span class="min-w-0 flex-1 truncate">{{ part.name }}</span>
        <span v-if="use && !use.passes" class="font-semibold">short</span>
        <span class="value">{{ use ? formatRatio(use.ratio) : 'exempt' }}</span>
      </button>
    </li>
  </ul>
</template>
