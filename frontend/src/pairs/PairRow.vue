<script setup lang="ts">
import { computed } from 'vue'
import PairRuler from './PairRuler.vue'
import PairSample from './PairSample.vue'
import type { PairFigures } from '@/api/types'
import { formatRatio, verdictText } from '@/ui/format'

const props = defineProps<{ pair: PairFigures; greys: readonly string[]; selected: boolean }>()
/** An exempt pair doesn't pass, and doesn't fall short either. */
const isFine = computed(() => props.pair.short_by === 0)
const emit = defineEmits<{ select: [] }>()
</script>

<template>
  <li
    class="grid grid-cols-[minmax(150px,256px)_minmax(200px,1fr)_56px_112px_104px] items-stretch gap-x-4 border-b border-hair"
    :class="[
      selected ? 'bg-sheet outline-2 -outline-offset-2 outline-ink' : 'bg-sheet',
      isFine ? '' : 'shadow-[inset_5px_0_0_var(--ink)]',
    ]"
    :data-pair="pair.id"
    :data-passes="isFine"
  >
    <PairSample :pair="pair" />
    <PairRuler :pair="pair" :greys="greys" class="self-center" />
    <span class="value self-center text-[15px]" :class="!isFine && 'font-bold'">{{
      formatRatio(pair.ratio)
    }}</span>
    <span class="self-center" :class="!isFine && 'font-semibold'">{{ verdictText(pair) }}</span>
    <span class="self-center">
      <button
        type="button"
        :class="
          isFine
            ? 'text-left text-quiet underline decoration-transparent hover:decoration-current'
            : 'button'
        "
        :aria-label="`${isFine ? 'Look into' : 'Mend'} ${pair.text_name} on ${pair.ground_name}, ${pair.usage}`"
        :aria-pressed="selected"
        @click="emit('select')"
      >
        {{ isFine ? pair.usage : 'Mend' }}
      </button>
    </span>
  </li>
</template>
