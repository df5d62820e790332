<script setup lang="ts">
import { computed } from 'vue'
import type { Mend, PairFigures } from '@/api/types'
import { formatDifference, formatRatio } from '@/ui/format'

const props = defineProps<{ mend: Mend; pair: PairFigures; checked: boolean; active: boolean }>()

const title = computed(() => {
  const { moved } = props.mend
  return {
    'change role': `Use ${moved} for the text`,
    'change step': `Move ${moved}`,
    'use step': `Set the text in ${moved}`,
    'move text': `Move ${moved}, the text`,
    'move ground': `Move ${moved}, the ground`,
  }[props.mend.kind]
})
const effect = computed(() => {
  if (props.mend.kind === 'change role' || props.mend.kind === 'use step')
    return 'In the palette already; no colour changes'
  const others = props.mend.touches
  const used = others
    ? `used in ${others} more ${others === 1 ? 'pair' : 'pairs'}`
    : 'used nowhere else'
  return props.mend.kind === 'change step' ? `A step of its ramp, ${used}` : `Hue kept, ${used}`
})
const broken = computed(() =>
  props.mend.breaks
    ? `Would make ${props.mend.breaks} other ${props.mend.breaks === 1 ? 'pair' : 'pairs'} fail`
    : '',
)
</script>

<template>
  <div
    class="border"
    :class="[checked ? 'border-ink' : 'border-hair', active && 'outline-2 outline-ink']"
  >
    <div
      data-specimen
      class="keeps-color grid h-10 grid-cols-2 text-center leading-10"
      aria-hidden="true"
    >
      <span :style="{ color: pair.text_hex, backgroundColor: pair.ground_hex }">now</span>
      <span :style="{ color: mend.text_hex, backgroundColor: mend.ground_hex }">after</span>
    </div>
    <div class="flex gap-2 px-2.5 py-1.5">
      <svg viewBox="0 0 12 12" class="mt-1 h-3 w-3 flex-none" aria-hidden="true">
        <circle cx="6" cy="6" r="5.4" fill="none" stroke="currentColor" />
        <circle v-if="checked" cx="6" cy="6" r="3" fill="currentColor" />
      </svg>
      <div>
        <p class="font-semibold">{{ title }}</p>
        <p class="text-small text-quiet">{{ effect }}</p>
        <p v-if="broken" class="text-small font-semibold">{{ broken }}</p>
        <p
          class="value text-small"
          title="Difference in OKLab: 0 is identical, 1 is black to white"
        >
          {{ formatRatio(mend.ratio) }}:1 · difference {{ formatDifference(mend.difference) }}
        </p>
      </div>
    </div>
  </div>
</template>
