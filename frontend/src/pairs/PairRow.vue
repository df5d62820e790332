<script setup lang="ts">
import { computed } from 'vue'
import PairRuler from './PairRuler.vue'
import PairSample from './PairSample.vue'
import { api, given } from '@/api/client'
import type { PairFigures } from '@/api/types'
import { usePagePreview } from '@/page/usePagePreview'
import { useTakeStore } from '@/take/take'
import { formatRatio, verdictText } from '@/ui/format'

const props = defineProps<{ pair: PairFigures; greys: readonly string[]; selected: boolean }>()
/** An exempt pair doesn't pass, and doesn't fall short either. */
const isFine = computed(() => props.pair.short_by === 0)
const emit = defineEmits<{ select: [] }>()
const take = useTakeStore()
const { previewing } = usePagePreview()

/** What the first of its mends would do, for a pair that falls short. */
const looking = previewing(async (signal) => {
  if (isFine.value || !take.document) return undefined
  const body = { document: take.document, pair: props.pair.id, mode: 'hue' as const }
  return (await given(api.POST('/api/mends', { body, signal }))).mends[0]?.document
})
</script>

<template>
  <li
    class="relative grid cursor-pointer grid-cols-[minmax(140px,236px)_136px_minmax(130px,1fr)_56px_100px_62px] items-stretch gap-x-3.5 border-b border-hair"
    :class="[
      selected ? 'bg-sheet outline-2 -outline-offset-2 outline-ink' : 'bg-sheet',
      isFine ? '' : 'shadow-[inset_5px_0_0_var(--ink)]',
    ]"
    :data-pair="pair.id"
    :data-passes="isFine"
  >
    <PairSample :pair="pair" />
    <span class="min-w-0 self-center py-1 leading-tight">
      <span class="block truncate" :title="`${pair.text_name} on ${pair.ground_name}`"
        ><b class="font-semibold">{{ pair.text_name }}</b> on {{ pair.ground_name }}</span
      >
      <span class="block truncate text-small text-quiet">{{ pair.usage }}</span>
    </span>
    <PairRuler :pair="pair" :greys="greys" class="self-center" />
    <span class="value self-center text-[15px]" :class="!isFine && 'font-bold'">{{
      formatRatio(pair.ratio)
    }}</span>
    <span class="self-center" :class="!isFine && 'font-semibold'">{{ verdictText(pair) }}</span>
    <span class="self-center">
      <button
        type="button"
        class="after:absolute after:inset-0"
        :class="isFine ? 'text-quiet' : 'button'"
        :aria-label="`${isFine ? 'Look into' : 'Mend'} ${pair.text_name} on ${pair.ground_name}, ${pair.usage}`"
        :aria-pressed="selected"
        v-on="looking"
        @click="emit('select')"
      >
        {{ isFine ? 'Look into' : 'Mend' }}
      </button>
    </span>
  </li>
</template>
