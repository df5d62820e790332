<script setup lang="ts">
import type { Evaluation } from '@/api/types'
import { formatShare } from '@/ui/format'

defineProps<{ evaluation: Evaluation }>()
</script>

<template>
  <h2 class="text-title leading-tight">The colours alone</h2>
  <p class="mt-1 text-quiet">
    Each colour as often as planned, always in the same arrangement, so that only the colours differ
    between takes.
  </p>
  <dl class="rule-list mt-2">
    <div v-for="cell in evaluation.measure" :key="cell.key" class="flex items-center gap-2 py-0.5">
      <dt class="flex min-w-0 flex-1 items-center gap-2">
        <span
          class="keeps-color h-4 w-4 flex-none border border-hair"
          :style="{ backgroundColor: cell.hex }"
        ></span
        ><span class="truncate">{{ cell.role_names || cell.name }}</span>
      </dt>
      <dd class="value">{{ formatShare(cell.share) }}</dd>
    </div>
  </dl>
</template>
