<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Source } from '@/api/types'
import RadioBar from '@/ui/RadioBar.vue'
import { useTakeStore } from '@/take/take'

/** A page of the sheet's own rules, before and after. It is inert: nothing in it runs or is fetched. */
const props = defineProps<{ source: Source; pictures: boolean }>()
const take = useTakeStore()
const side = ref<'before' | 'after'>('after')
const SIDES = [
  { value: 'before', label: 'Before' },
  { value: 'after', label: 'After' },
] as const

/** What is shown is what is saved: the page is asked for again when that is done. */
const revision = ref(take.take?.revision ?? 0)
watch(
  () => (take.saveState === 'saved' ? take.take?.revision : undefined),
  (saved) => {
    if (saved !== undefined) revision.value = saved
  },
)
const address = computed(() => {
  const id = take.take?.id
  if (!id) return undefined
  const query = `side=${side.value}&revision=${revision.value.toString()}&pictures=${props.pictures.toString()}`
  return `/api/takes/${id}/recoloured/${props.source.id}/page?${query}`
})
</script>

<template>
  <section class="border border-hair bg-sheet" aria-label="The sheet’s own rules on a page">
    <div class="flex flex-wrap items-center gap-3 border-b border-hair px-3 py-1.5">
      <h2 class="min-w-0 flex-1 font-semibold">A sample of its own rules</h2>
      <RadioBar v-model="side" label="Side" small :options="SIDES" />
    </div>
    <iframe
      v-if="address"
      :src="address"
      sandbox=""
      :title="`${source.name}, ${side}`"
      class="keeps-color block h-90 w-full bg-white"
      data-testid="sample"
    ></iframe>
  </section>
</template>
