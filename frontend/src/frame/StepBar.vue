<script setup lang="ts">
import SchemeSwitch from './SchemeSwitch.vue'
import SightSwitch from './SightSwitch.vue'
import { useRoute } from 'vue-router'
import { useInView } from './useInView'
import { useTakeStore } from '@/take/take'

const take = useTakeStore()
useInView('steps')
const route = useRoute()
const STEPS = [
  { name: 'source', label: 'Source' },
  { name: 'harmony', label: 'Harmony' },
  { name: 'roles', label: 'Roles' },
  { name: 'pairs', label: 'Pairs' },
  { name: 'proof', label: 'Proof' },
  { name: 'handoff', label: 'Handoff' },
] as const
</script>

<template>
  <div class="flex flex-wrap items-stretch border-b border-hair bg-sheet px-4">
    <nav
      ref="steps"
      aria-label="Steps"
      class="flex h-8.5 items-stretch gap-8 whitespace-nowrap max-[900px]:max-w-full max-[900px]:gap-5 max-[900px]:overflow-x-auto"
    >
      <RouterLink
        v-for="step in STEPS"
        :key="step.name"
        :to="{ name: step.name }"
        class="flex items-center gap-2 border-b-3 border-transparent pt-0.5 font-semibold text-quiet hover:text-ink"
        active-class="border-ink! text-ink"
        :class="step.name === 'source' && route.name === 'ready-made' && 'border-ink! text-ink'"
      >
        {{ step.label }}
        <span
          v-if="step.name === 'pairs' && take.failing > 0"
          class="border border-quiet px-1 text-[11px] leading-4"
          title="Pairs that fail at the level of this take"
          data-testid="short-count"
          >{{ take.failing }} {{ take.failing === 1 ? 'fails' : 'fail' }}</span
        >
      </RouterLink>
    </nav>
    <SightSwitch v-if="!take.isEmpty" class="ml-auto" />
    <section v-if="take.document?.other" aria-label="Day or night" class="ml-3 flex items-center">
      <SchemeSwitch v-model="take.scheme" />
    </section>
  </div>
</template>
