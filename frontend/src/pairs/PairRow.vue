<script setup lang="ts">
import { computed } from 'vue'
import PairRuler from './PairRuler.vue'
import PairSample from './PairSample.vue'
import { api, answerOf } from '@/api/client'
import type { PairFigures } from '@/api/types'
import { usePagePreview } from '@/page/usePagePreview'
import { useTakeStore } from '@/take/take'
import { formatRatio } from '@/ui/format'
import { verdictText } from '@/take/verdict'

const props = defineProps<{ pair: PairFigures; greys: readonly string[]; selected: boolean }>()
/** An exempt pair doesn't pass, and doesn't fail either. */
const isFine = computed(() => props.pair.outcome !== 'fails')
const emit = defineEmits<{ select: [] }>()
const take = useTakeStore()
const { previewing } = usePagePreview()

/** What the first of its mends would do, for a pair that falls short. */
const looking = previewing(async (signal) => {
  if (isFine.value || !take.document) return undefined
  const body = { document: take.document, pair: props.pair.id, mode: 'hue' as const }
  return (await answerOf(api.POST('/api/mends', { body, signal }))).mends[0]?.document
})
</script>

<template>
  <li
    class="pair-columns relative grid cursor-pointer items-stretch gap-x-3 border-b border-hair @max-[640px]:mt-2 @max-[640px]:border @max-[640px]:border-ink @max-[640px]:pr-2 @max-[640px]:pb-2"
    :class="[
      selected ? 'bg-sheet outline-2 -outline-offset-2 outline-ink' : 'bg-sheet',
      isFine ? '' : 'shadow-[inset_5px_0_0_var(--ink)]',
    ]"
    :data-pair="pair.id"
    :data-passes="isFine"
  >
    <PairSample
      :pair="pair"
      class="ml-1.25 @max-[640px]:col-span-2 @max-[640px]:-mr-2 @max-[640px]:min-h-12"
    />
    <span class="min-w-0 self-center py-1 leading-tight @max-[640px]:pl-3">
      <span class="line-clamp-2 wrap-break-word" :title="`${pair.text_name} on ${pair.ground_name}`"
        ><bdi class="font-semibold">{{ pair.text_name }}</bdi> on
        <bdi>{{ pair.ground_name }}</bdi></span
      >
      <span class="block truncate text-small text-quiet">{{ pair.usage }}</span>
    </span>
    <PairRuler
      :pair="pair"
      :greys="greys"
      class="self-center @max-[640px]:order-5 @max-[640px]:col-span-2 @max-[640px]:ml-3"
    />
    <span
      class="value self-center text-[15px] @max-[640px]:text-right"
      :class="!isFine && 'font-bold'"
      >{{ formatRatio(pair.ratio) }}</span
    >
    <span class="self-center @max-[640px]:pl-3" :class="!isFine && 'font-semibold'">{{
      verdictText(pair)
    }}</span>
    <span class="self-center @max-[640px]:text-right">
      <button
        type="button"
        class="after:absolute after:inset-0"
        :class="isFine ? 'text-quiet' : 'button'"
        :aria-label="`${isFine ? 'Details of' : 'Mend'} ${pair.text_name} on ${pair.ground_name}, ${pair.usage}, ${formatRatio(pair.ratio)} to 1, ${verdictText(pair)}`"
        :aria-pressed="selected"
        v-on="looking"
        @click="emit('select')"
      >
        {{ isFine ? 'Details' : 'Mend' }}
      </button>
    </span>
  </li>
</template>
