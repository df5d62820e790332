<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { explain } from '@/api/client'
import { useBrandStore } from '@/take/brand'
import { useTakeStore } from '@/take/take'

/** Which version is looked at in place of the take, and the ways back. */
const take = useTakeStore()
const brand = useBrandStore()
const route = useRoute()
const router = useRouter()
const problem = ref('')

const told = computed(() => {
  const { looking } = take
  if (!looking) return ''
  const name = `version ${looking.number.toString()}${looking.description ? `, “${looking.description}”` : ''}`
  return take.isRefused
    ? `Nothing was changed: a version never changes. Go back to the take, or make a take of it.`
    : `You are looking at ${name}. Every view shows it; nothing can be changed.`
})

/** A take of its own, as the version is. */
async function makeTake() {
  const { looking } = take
  if (!looking) return
  problem.value = ''
  try {
    const made = await take.createFrom(looking.document)
    await brand.refresh()
    const params = { ...route.params, takeId: made.id }
    await router.push({ name: route.name ?? 'source', params })
  } catch (reason) {
    problem.value = explain(reason)
  }
}
</script>

<template>
  <div
    v-if="take.looking"
    class="flex flex-wrap items-center gap-2 border-b border-ink bg-ink px-4 py-1.5 text-sheet"
    data-testid="looking"
  >
    <p role="status" class="min-w-60 flex-1" :class="take.isRefused && 'font-semibold'">
      {{ problem || told }}
    </p>
    <button type="button" class="button" @click="makeTake">Make a take of it</button>
    <button type="button" class="button" @click="take.look(undefined)">Back to the take</button>
  </div>
</template>
