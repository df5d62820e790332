<script setup lang="ts">
import { computed, ref } from 'vue'
import { api, answerOf } from '@/api/client'
import type { TakeDocument, Variation } from '@/api/types'
import VariationCard from './VariationCard.vue'
import { usePins } from './usePins'
import { useFollowing } from '@/ui/useFollowing'

const props = defineProps<{ document: TakeDocument; takeId: string; last: number }>()
const emit = defineEmits<{ take: [variation: Variation]; close: [] }>()
const COUNT = 12

/** Sheets of twelve: the one in which the chosen variation stands. */
const sheetOf = (seed: number) => Math.floor((seed - 1) / COUNT) * COUNT + 1
const first = ref(sheetOf(props.document.harmony.seed ?? 1))
/** Where they begin is for the server to say: choosing one of them gives the same sheet again. */
const { answer, problem } = useFollowing(
  () => ({ document: props.document, first: first.value, count: COUNT }),
  (body, signal) => answerOf(api.POST('/api/variations', { body, signal })),
)
const row = computed<readonly Variation[]>(() => answer.value?.variations ?? [])
/** A sheet that isn’t full is the last one: nothing else differs enough from all that was shown. */
const isEnd = computed(() => answer.value !== undefined && row.value.length < COUNT)
const title = computed(() => {
  const end = isEnd.value ? first.value + row.value.length - 1 : first.value + COUNT - 1
  if (end < first.value) return 'No more variations'
  return `Variations ${first.value.toString()} to ${Math.min(end, props.last).toString()}`
})
const note = computed(() =>
  isEnd.value
    ? 'Nothing else differs enough. Release a colour, or change rule or character, for more.'
    : 'All start from what you see. Pick one again by its number.',
)
const { pins, isPinned, toggle } = usePins(() => props.takeId)

const isChosen = (variation: Variation) =>
  JSON.stringify(variation.document.swatches.map((one) => one.hex)) ===
  JSON.stringify(props.document.swatches.map((one) => one.hex))
const sheets = computed(() => [
  { name: 'Pinned', variations: pins.value },
  { name: '', variations: row.value },
])
</script>

<template>
  <section
    aria-label="Variations"
    class="border border-ink bg-sheet px-3 py-2"
    data-testid="variations"
  >
    <div class="flex items-center gap-2">
      <h2 class="text-body">{{ title }}</h2>
      <p class="truncate text-quiet">{{ problem || note }}</p>
      <div class="ml-auto flex gap-2">
        <button
          type="button"
          class="button"
          :disabled="first <= 1"
          @click="first = Math.max(1, first - COUNT)"
        >
          Before
        </button>
        <button
          type="button"
          class="button"
          :disabled="first + COUNT > last || isEnd"
          @click="first += COUNT"
        >
          Next
        </button>
        <button type="button" class="button" @click="emit('close')">Close</button>
      </div>
    </div>
    <template v-for="sheet in sheets" :key="sheet.name">
      <h3 v-if="sheet.name && sheet.variations.length" class="mt-2 text-quiet">{{ sheet.name }}</h3>
      <ul
        v-if="sheet.variations.length"
        class="mt-1 grid grid-cols-12 gap-1.5 max-[1100px]:grid-cols-6"
        :aria-label="sheet.name || 'Variations'"
      >
        <li v-for="(variation, place) in sheet.variations" :key="place" class="min-w-0">
          <VariationCard
            :variation="variation"
            :is-chosen="isChosen(variation)"
            :is-pinned="isPinned(variation)"
            @take="emit('take', variation)"
            @pin="toggle(variation)"
          />
        </li>
      </ul>
    </template>
  </section>
</template>
