<script setup lang="ts">
import { computed, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { api, answerOf } from '@/api/client'
import TakeColumn from './TakeColumn.vue'
import { useBrandStore } from '@/take/brand'
import { useAnswer } from '@/ui/useAnswer'

defineProps<{ isOver: boolean }>()
defineEmits<{ files: [files: File[]]; paste: [text: string] }>()
const brand = useBrandStore()
const route = useRoute()
const router = useRouter()
const FEWEST = 2
const MOST = 4

const takes = computed(() => brand.detail?.takes ?? [])
/** Which takes stand side by side is in the address. */
const chosen = computed(() => {
  const asked = typeof route.query.takes === 'string' ? route.query.takes.split(',') : []
  const known = asked.filter((id) => takes.value.some((one) => one.id === id)).slice(0, MOST)
  return known.length >= FEWEST ? known : takes.value.slice(0, MOST).map((one) => one.id)
})

const { answer: columns, ask } = useAnswer(() => Promise.all(chosen.value.map(load)))
watch(chosen, ask)

async function load(id: string) {
  const take = await answerOf(
    api.GET('/api/takes/{take_id}', { params: { path: { take_id: id } } }),
  )
  const evaluation = await answerOf(
    api.POST('/api/evaluate', { body: { document: take.document } }),
  )
  return { take, evaluation }
}

function toggle(id: string) {
  const next = chosen.value.includes(id)
    ? chosen.value.filter((one) => one !== id)
    : [...chosen.value, id]
  if (next.length >= FEWEST && next.length <= MOST)
    void router.replace({ query: { ...route.query, takes: next.join(',') } })
}
</script>

<template>
  <main class="min-h-0 overflow-y-auto p-4 pt-3" tabindex="0" aria-label="Takes side by side">
    <div
      class="flex flex-wrap items-center gap-1.5"
      role="group"
      aria-label="Takes to compare, two to four"
    >
      <button
        v-for="one in takes"
        :key="one.id"
        type="button"
        dir="auto"
        class="button"
        :class="chosen.includes(one.id) && 'bg-ink! text-sheet!'"
        :aria-pressed="chosen.includes(one.id)"
        @click="toggle(one.id)"
      >
        {{ one.name }}
      </button>
      <p class="ml-2 text-quiet">Two to four stand side by side.</p>
    </div>
    <div class="mt-3 grid auto-cols-fr grid-flow-col gap-3" data-testid="columns">
      <TakeColumn
        v-for="column in columns"
        :key="column.take.id"
        :take="column.take"
        :evaluation="column.evaluation"
      />
    </div>
  </main>
</template>
