<script setup lang="ts">
import { computed } from 'vue'
import type { Proposal, Source } from '@/api/types'
import { roleName } from '@/take/roles'
import { countOf } from '@/ui/format'

const props = defineProps<{ proposal: Proposal; kind: Source['kind'] }>()

const FROM = {
  image: 'From the artwork (held)',
  stylesheet: 'From the old site (held)',
  list: 'From the list (held)',
  mood: 'From the mood’s colours (free)',
} as const
const read = computed(() => props.proposal.roles.filter((role) => !role.made))
const made = computed(() => props.proposal.roles.filter((role) => role.made))
const parts = computed(() => [
  { title: FROM[props.kind], roles: read.value },
  { title: 'Added to match (free)', roles: made.value },
])
</script>

<template>
  <section aria-label="Suggested start">
    <h2 class="text-title">Suggested start</h2>
    <p v-if="!proposal.short.length" class="mt-2">
      {{ proposal.checked }} pairs checked by day and night: all pass AA.
    </p>
    <div v-else class="mt-2 border-2 border-ink p-2" data-testid="short">
      <h3>{{ countOf(proposal.short.length, 'pair fails', 'pairs fail') }} AA</h3>
      <p v-for="text in proposal.short" :key="text" class="mt-1">{{ text }}</p>
    </div>
    <p v-for="text in proposal.alike" :key="text" class="mt-2" data-testid="alike">{{ text }}</p>
    <p v-for="text in proposal.impossible" :key="text" class="mt-2 text-quiet">{{ text }}</p>
    <template v-for="part in parts" :key="part.title">
      <h3 v-if="part.roles.length" class="mt-3 text-quiet">{{ part.title }}</h3>
      <ul class="rule-list" :data-testid="part.roles === read ? 'roles-read' : 'roles-made'">
        <li v-for="proposed in part.roles" :key="proposed.role" class="py-1.5">
          <p class="flex items-center gap-2">
            <span
              class="keeps-color h-4 w-4 flex-none border border-hair"
              :style="{ backgroundColor: proposed.hex }"
            ></span>
            <b class="flex-1 font-semibold">{{ roleName(proposed.role) }}</b>
            <span class="value">{{ proposed.hex }}</span>
          </p>
          <p class="text-small leading-snug text-quiet">{{ proposed.reason }}</p>
        </li>
      </ul>
    </template>
  </section>
</template>
