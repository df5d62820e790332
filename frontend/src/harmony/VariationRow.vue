<script setup lang="ts">
import { computed, ref } from 'vue'
import { api, given } from '@/api/client'
import type { TakeDocument, Variation } from '@/api/types'
import { useFollowing } from '@/ui/useFollowing'

const props = defineProps<{ document: TakeDocument; last: number }>()
const emit = defineEmits<{ take: [document: TakeDocument]; close: [] }>()
const COUNT = 6

const first = ref(props.document.harmony.seed ?? 1)
/** What the variations are drawn from; choosing one of them doesn't change it. */
const base = computed(() => JSON.stringify([basis(props.document), first.value]))
const { answer, problem } = useFollowing(
  () => base.value,
  (_, signal) => {
    const body = { document: props.document, first: first.value, count: COUNT }
    return given(api.POST('/api/variations', { body, signal }))
  },
)
const row = computed<readonly Variation[]>(() => answer.value?.variations ?? [])

function basis(document: TakeDocument) {
  const began = new Map(document.harmony.varied_from.map((one) => [one.swatch, one.hex]))
  const { seed: _seed, varied_from: _from, ...settings } = document.harmony
  return [
    document.swatches.map((one) => [one.id, began.get(one.id) ?? one.hex, one.held]),
    document.roles,
    document.level,
    settings,
  ]
}
const shown = (variation: Variation) =>
  variation.document.swatches.filter(
    (swatch) =>
      variation.document.harmony.varied_from.some((one) => one.swatch === swatch.id) || swatch.held,
  )
</script>

<template>
  <section
    aria-label="Variations"
    class="border border-ink bg-sheet px-3 py-2"
    data-testid="variations"
  >
    <div class="flex items-center gap-2">
      <h2 class="text-body">Variations {{ first }} to {{ Math.min(first + COUNT - 1, last) }}</h2>
      <p class="truncate text-quiet">
        {{ problem || 'from the same start; each can be returned to by its number' }}
      </p>
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
          :disabled="first + COUNT > last"
          @click="first += COUNT"
        >
          Next
        </button>
        <button type="button" class="button" @click="emit('close')">Close</button>
      </div>
    </div>
    <ul class="mt-2 flex gap-2">
      <li v-for="variation in row" :key="variation.seed" class="min-w-0 flex-1">
        <button
          type="button"
          class="block w-full border text-left"
          :class="
            document.harmony.seed === variation.seed
              ? 'border-2 border-ink'
              : 'border-hair hover:border-ink'
          "
          :aria-pressed="document.harmony.seed === variation.seed"
          @click="emit('take', variation.document)"
        >
          <span class="keeps-color flex h-9">
            <span
              v-for="swatch in shown(variation)"
              :key="swatch.id"
              class="flex-1"
              :style="{ backgroundColor: swatch.hex }"
            ></span>
          </span>
          <span class="block truncate px-1.5 text-small">
            <b class="font-semibold">{{ variation.seed }}</b>
            <span
              v-if="variation.failing.length"
              class="text-quiet"
              :title="variation.problem ?? ''"
            >
              {{ variation.failing.length }} short</span
            >
          </span>
        </button>
      </li>
    </ul>
  </section>
</template>
