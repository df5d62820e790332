<script setup lang="ts">
import { api, answerOf } from '@/api/client'
import type { TakeDocument } from '@/api/types'
import { formatDifference, formatRatio } from '@/ui/format'
import { useFollowing } from '@/ui/useFollowing'

const props = defineProps<{ title: string; before: TakeDocument; after: TakeDocument }>()
const { answer: changes } = useFollowing(
  () => ({ before: props.before, after: props.after }),
  (body, signal) => answerOf(api.POST('/api/comparisons', { body, signal })),
  { isShared: true },
)
const OUTCOMES = { passes: 'passes', fails: 'fails', exempt: 'is exempt', unknown: 'is unknown' }
const ratio = (value: number | null) => (value === null ? '–' : formatRatio(value))
</script>

<template>
  <section :aria-label="title" data-testid="changes">
    <h2 class="text-title">{{ title }}</h2>
    <p
      v-if="changes && !changes.swatches.length && !changes.roles.length && !changes.pairs.length"
      class="mt-1 text-quiet"
    >
      No differences.
    </p>
    <template v-if="changes">
      <h3 v-if="changes.swatches.length" class="mt-3 text-quiet">Colours</h3>
      <ul class="rule-list">
        <li
          v-for="(one, row) in changes.swatches"
          :key="row"
          class="flex items-center gap-2 py-1.5"
        >
          <span class="keeps-color flex border border-hair">
            <span class="h-5 w-5" :style="{ backgroundColor: one.before ?? 'transparent' }"></span>
            <span class="h-5 w-5" :style="{ backgroundColor: one.after ?? 'transparent' }"></span>
          </span>
          <span class="min-w-0 flex-1 truncate" :title="one.name">{{ one.name }}</span>
          <span class="text-quiet">{{
            one.difference
              ? `by ${formatDifference(one.difference)}`
              : one.renamed_from
                ? 'renamed'
                : one.change
          }}</span>
        </li>
      </ul>
      <h3 v-if="changes.roles.length" class="mt-3 text-quiet">Roles</h3>
      <ul class="rule-list">
        <li v-for="one in changes.roles" :key="one.role" class="flex justify-between py-1">
          <span>{{ one.name }}</span>
          <span class="value">{{ one.before ?? '–' }} → {{ one.after ?? '–' }}</span>
        </li>
      </ul>
      <h3 v-if="changes.pairs.length" class="mt-3 text-quiet">Pairs</h3>
      <ul class="rule-list">
        <li v-for="one in changes.pairs" :key="one.id" class="py-1">
          <span class="flex justify-between gap-2">
            <span class="truncate">{{ one.name }}</span>
            <span class="value">{{ ratio(one.before) }} → {{ ratio(one.after) }}</span>
          </span>
          <b
            v-if="one.outcome_after && one.outcome_after !== one.outcome_before"
            class="font-semibold"
            >{{ OUTCOMES[one.outcome_after] }} now</b
          >
        </li>
      </ul>
    </template>
  </section>
</template>
