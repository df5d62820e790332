<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { explain } from '@/api/client'
import { useBrandStore } from '@/take/brand'
import { useTakeStore } from '@/take/take'

/** What keeps the take from being saved, and the ways out of it. */
const take = useTakeStore()
const brand = useBrandStore()
const router = useRouter()
const problem = ref('')

const says = computed(() => {
  if (take.conflict)
    return `This take was changed in another window . Both copies are safe until you choose.`
  if (take.saveState === 'removed')
    return 'This take was deleted in another window. Your copy is safe until you choose.'
  if (take.saveState === 'refused')
    return `This state can’t be saved. ${take.saveProblem} Undo the last step, or change it.`
  return ''
})
watch(says, () => (problem.value = ''))

async function attempt(work: () => Promise<unknown>) {
  problem.value = ''
  try {
    await work()
  } catch (reason) {
    problem.value = explain(reason)
  }
}

const keepBoth = () =>
  attempt(async () => {
    const made = await take.keepMine()
    if (!made) return
    await brand.open(made.brand_id)
    await router.push({ name: 'source', params: { brandId: made.brand_id, takeId: made.id } })
  })

const bringBack = () =>
  attempt(async () => {
    await take.bringBack()
    await brand.refresh()
  })
</script>

<template>
  <div
    v-if="says"
    role="alert"
    class="flex flex-wrap items-center gap-3 border-b-2 border-ink bg-sheet px-4 py-2"
  >
    <p class="flex-1">
      {{ says }} <strong v-if="problem">{{ problem }}</strong>
    </p>
    <button v-if="take.conflict" type="button" class="button" @click="take.takeTheirs()">
      Use the other copy
    </button>
    <button v-if="take.saveState === 'removed'" type="button" class="button" @click="bringBack">
      Restore
    </button>
    <button
      v-if="take.saveState !== 'refused'"
      type="button"
      class="button-solid"
      @click="keepBoth"
    >
      Save mine as a new take
    </button>
  </div>
</template>
