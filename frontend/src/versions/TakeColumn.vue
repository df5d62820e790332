<script setup lang="ts">
import { computed } from 'vue'
import type { Evaluation, Take } from '@/api/types'
import { countOf, formatRatio } from '@/ui/format'
import { xOf, yOf } from '@/harmony/layout'

const props = defineProps<{ take: Take; evaluation: Evaluation }>()

const FIELD = { left: 34, top: 8, right: 292, bottom: 172 } as const
const LANE = 16
const MOST_PAIRS = 8

const hexes = computed(() => new Map(props.take.document.swatches.map((one) => [one.id, one.hex])))
const notes = computed(() =>
  props.evaluation.swatches.map((figures) => ({
    id: figures.id,
    hex: hexes.value.get(figures.id),
    x: figures.is_neutral ? LANE : xOf(figures.hue, props.evaluation.stave.hue, FIELD),
    y: yOf(figures.position, FIELD),
  })),
)
const measure = computed(() =>
  props.evaluation.measure.map(({ hex, share, role_names: title }) => ({ hex, share, title })),
)
</script>

<template>
  <section class="min-w-0 border border-ink bg-sheet" :aria-label="take.name">
    <header class="flex items-baseline gap-2 border-b border-hair px-3 py-2">
      <h2 class="min-w-0 truncate text-title" :title="take.name">{{ take.name }}</h2>
      <RouterLink
        class="ml-auto underline underline-offset-2"
        :to="{ name: 'harmony', params: { brandId: take.brand_id, takeId: take.id } }"
        >Open</RouterLink
      >
    </header>
    <svg
      viewBox="0 0 300 180"
      class="keeps-color w-full"
      role="img"
      :aria-label="`Stave of ${take.name}`"
    >
      <line
        v-for="line in evaluation.stave.lines"
        :key="line.position"
        x1="4"
        x2="296"
        :y1="yOf(line.position, FIELD)"
        :y2="yOf(line.position, FIELD)"
        class="stroke-ink"
        stroke-width="0.8"
      />
      <circle
        v-for="note in notes"
        :key="note.id"
        :cx="note.x"
        :cy="note.y"
        r="7"
        :fill="note.hex"
        class="stroke-ink"
      />
    </svg>
    <div class="keeps-color flex h-10 border-y border-ink" aria-hidden="true">
      <span
        v-for="(cell, row) in measure"
        :key="row"
        :style="{ backgroundColor: cell.hex, flexGrow: cell.share, flexBasis: 0 }"
        :title="cell.title"
      ></span>
    </div>
    <div class="px-3 py-2">
      <p class="font-semibold">
        {{ evaluation.counts.passes }} of {{ evaluation.counts.judged }} pairs pass
        {{ take.document.level }}
      </p>
      <p class="text-quiet">
        {{
          evaluation.counts.fails
            ? `${countOf(evaluation.counts.fails, 'pair fails', 'pairs fail')}`
            : 'All pairs pass'
        }}
      </p>
      <ul class="rule-list mt-2">
        <li
          v-for="pair in evaluation.pairs.slice(0, MOST_PAIRS)"
          :key="pair.id"
          class="flex items-center gap-2 py-1"
        >
          <span
            data-specimen
            class="keeps-color w-8 flex-none text-center font-semibold"
            :style="{ color: pair.text_hex, backgroundColor: pair.ground_hex }"
            >Aa</span
          >
          <span class="min-w-0 flex-1 truncate"
            >{{ pair.text_name }} on {{ pair.ground_name }}</span
          >
          <span class="value" :class="pair.outcome === 'fails' && 'font-bold'">{{
            formatRatio(pair.ratio)
          }}</span>
        </li>
      </ul>
    </div>
  </section>
</template>
