<script setup lang="ts">
import { computed, shallowRef } from 'vue'
import { api, answerOf } from '@/api/client'
import type { GridBody, TakeDocument } from '@/api/types'
import ChoiceList from '@/ui/ChoiceList.vue'
import { formatRatio } from '@/ui/format'
import { useFollowing } from '@/ui/useFollowing'

const props = defineProps<{ document: TakeDocument; tried: boolean }>()
const order = shallowRef<GridBody['order']>('roles')
const { answer: grid, problem } = useFollowing(
  () => ({ document: props.document, order: order.value, tried: props.tried }),
  (body, signal) => answerOf(api.POST('/api/grid', { body, signal })),
)

const ORDERS = [
  { value: 'roles', label: 'In the order of roles' },
  { value: 'light to dark', label: 'From light to dark' },
] as const
/** What a ratio is enough for, in a mark of its own: never told by colour alone. */
const MARKS = {
  nothing: '–',
  'large text and parts': 'L',
  'body text': 'AA',
  'enhanced text': 'AAA',
} as const
const csv = computed(
  () => `data:text/csv;charset=utf-8,${encodeURIComponent(grid.value?.csv ?? '')}`,
)
</script>

<template>
  <div class="mt-2 flex flex-wrap items-center gap-x-3 gap-y-2">
    <p class="min-w-60 flex-1 text-quiet">
      {{ tried ? 'Possible text colours on every colour' : 'Every colour on every other' }}: AAA and
      AA for body text, L for large text and parts, – for none.
    </p>
    <ChoiceList v-model="order" label="Order" class="w-48" :options="ORDERS" />
    <a class="button" :href="csv" download="contrast-grid.csv">Save as CSV</a>
  </div>
  <p v-if="problem" role="alert" class="font-semibold">{{ problem }}</p>
  <div
    v-if="grid"
    class="mt-2 max-w-full overflow-x-auto border border-ink bg-sheet"
    tabindex="0"
    role="region"
    aria-label="Grid of contrast ratios"
  >
    <table class="border-collapse text-small" data-testid="grid">
      <caption class="sr-only">
        Contrast ratios, texts down and grounds across
      </caption>
      <thead>
        <tr>
          <td class="sticky left-0 z-10 border-r border-b border-ink bg-sheet px-2">
            on ground, across
          </td>
          <th
            v-for="ground in grid.grounds"
            :key="ground.key"
            scope="col"
            class="max-w-24 min-w-17 truncate border-b border-ink px-1 py-1 text-left font-semibold"
            :title="`${ground.name}, ${ground.hex}`"
          >
            {{ ground.name }}
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(text, row) in grid.texts" :key="text.key">
          <th
            scope="row"
            class="sticky left-0 z-10 max-w-36 truncate border-r border-ink bg-sheet px-2 text-left font-semibold"
            :title="`${text.name}, ${text.hex}`"
          >
            {{ text.name }}
          </th>
          <td v-for="(ground, column) in grid.grounds" :key="ground.key" class="p-0">
            <span
              data-specimen
              class="keeps-color block px-1 text-[14px] font-semibold"
              :style="{ color: text.hex, backgroundColor: ground.hex }"
              aria-hidden="true"
              >Aa</span
            >
            <span class="flex justify-between gap-1 px-1">
              <span class="value">{{ formatRatio(grid.ratios[row]?.[column] ?? 1) }}</span>
              <b class="font-semibold">{{ MARKS[grid.reaches[row]?.[column] ?? 'nothing'] }}</b>
            </span>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
