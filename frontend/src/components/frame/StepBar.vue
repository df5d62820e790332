<script setup lang="ts">
import { useTakeStore } from '@/stores/take'

const take = useTakeStore()
const STEPS = [
  { name: 'source', label: 'Source' },
  { name: 'harmony', label: 'Harmony' },
  { name: 'pairs', label: 'Pairs' },
] as const
</script>

<template>
  <nav aria-label="Steps" class="flex h-8.5 items-stretch gap-8 border-b border-hair bg-sheet px-4">
    <RouterLink
      v-for="step in STEPS"
      :key="step.name"
      :to="{ name: step.name }"
      class="flex items-center gap-2 border-b-3 border-transparent pt-0.5 font-semibold text-quiet hover:text-ink"
      active-class="border-ink! text-ink"
    >
      {{ step.label }}
      <span
        v-if="step.name === 'pairs' && take.failing > 0"
        class="border border-quiet px-1 text-[11px] leading-4"
        data-testid="short-count"
        >{{ take.failing }} short</span
      >
    </RouterLink>
  </nav>
</template>
