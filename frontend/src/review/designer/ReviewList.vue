<script setup lang="ts">
import type { ListedReview } from '@/api/types'
import { countOf, formatAge } from '@/ui/format'

/** The reviews of a brand, each with what came back. */
defineProps<{ reviews: readonly ListedReview[]; chosen: string | undefined }>()

function stateOf(one: ListedReview): string {
  if (one.approved_at)
    return `${one.takes[one.approved_place ?? 0] ?? ''} approved by ${one.approved_by ?? ''}`
  if (one.withdrawn_at) return 'Withdrawn'
  if (one.last_choice) return one.last_choice
  if (!one.open_links) return 'No link works any more'
  if (!one.last_opened_at) return 'Not opened yet'
  return `Opened ${formatAge(one.last_opened_at)}`
}
function saidOf(one: ListedReview): string {
  if (!one.remarks) return ''
  const all = countOf(one.remarks, 'remark', 'remarks')
  return one.unresolved
    ? `${all}, ${countOf(one.unresolved, 'open', 'open').toLowerCase()}`
    : `${all}, all resolved`
}
</script>

<template>
  <ul class="border-t border-ink" aria-label="Reviews">
    <li v-for="one in reviews" :key="one.id">
      <RouterLink
        :to="{ name: 'reviews', params: { reviewId: one.id } }"
        class="block border-b border-hair bg-sheet px-3 py-2 hover:underline"
        :class="chosen === one.id && 'shadow-[inset_4px_0_0_var(--ink)]'"
        :aria-current="chosen === one.id ? 'true' : undefined"
      >
        <span class="block font-semibold [overflow-wrap:anywhere]" dir="auto">{{
          one.takes.join(', ')
        }}</span>
        <span class="block">{{ stateOf(one) }}</span>
        <span class="block text-quiet"
          >{{ formatAge(one.created_at) }}{{ saidOf(one) && ` · ${saidOf(one)}`
          }}{{ one.pages.length ? '' : ' · the palette only' }}</span
        >
      </RouterLink>
    </li>
  </ul>
</template>
