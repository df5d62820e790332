<script setup lang="ts">
import PairRuler from './PairRuler.vue'
import PairSample from './PairSample.vue'
import type { PairFigures } from '@/api/types'
import { formatRatio, verdictText } from '@/format'

defineProps<{ pair: PairFigures; greys: readonly string[]; selected: boolean }>()
const emit = defineEmits<{ select: [] }>()
</script>

<template>
  <li
    class="grid grid-cols-[minmax(150px,256px)_minmax(200px,1fr)_56px_112px_104px] items-stretch gap-x-4 border-b border-hair"
    :class="[
      selected ? 'bg-sheet outline-2 -outline-offset-2 outline-ink' : 'bg-sheet',
      pair.passes ? '' : 'shadow-[inset_5px_0_0_var(--ink)]',
    ]"
    :data-pair="pair.id"
    :data-passes="pair.passes"
  >
    <PairSample :pair="pair" />
    <PairRuler :pair="pair" :greys="greys" class="self-center" />
    <span class="value self-center text-[15px]" :class="!pair.passes && 'font-bold'">{{
      formatRatio(pair.ratio)
    }}</span>
    <span class="self-center" :class="!pair.passes && 'font-semibold'">{{
      verdictText(pair)
    }}</span>
    <span class="self-center">
      <button
        type="button"
        :class="
          pair.passes
            ? 'text-left text-quiet underline decoration-transparent hover:decoration-current'
            : 'button'
        "
        :aria-label="`${pair.passes ? 'Look into' : 'Mend'} ${pair.text_name} on ${pair.ground_name}, ${pair.usage}`"
        :aria-pressed="selected"
        @click="emit('select')"
      >
        {{ pair.passes ? pair.usage : 'Mend' }}
      </button>
    </span>
  </li>
</template>
