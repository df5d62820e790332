<script setup lang="ts">
import { computed } from 'vue'
import type { PairFigures } from '@/api/types'

const props = defineProps<{ pair: PairFigures }>()

/** Each usage in the size at which its requirement holds. */
const look = computed(
  () =>
    ({
      'body text': 'text-[15px]',
      'large text': 'text-[24px] font-bold tracking-tight',
      'button label': 'text-[15px] font-semibold',
      link: 'text-[15px] underline underline-offset-3',
      'link beside text': 'text-[15px]',
      'part of a control': 'text-[14px]',
      'focus indicator': 'text-[14px]',
      decoration: 'text-[15px]',
      disabled: 'text-[15px]',
      logotype: 'text-[24px] font-bold tracking-tight',
    })[props.pair.usage],
)
/** Where text and ground are nearly one, a line of black and white around it shows that there is something. */
const isUnseen = computed(() => !props.pair.is_seen)
const isPart = computed(() => ['part of a control', 'focus indicator'].includes(props.pair.usage))
</script>

<template>
  <div
    data-specimen
    class="keeps-color flex items-center overflow-hidden px-4"
    :style="{ backgroundColor: pair.ground_hex, color: pair.text_hex }"
  >
    <!-- A field's border is the part that is tested; what would stand in it isn't. -->
    <span
      v-if="isPart"
      :class="isUnseen && 'outline-1 outline-offset-1 outline-[#000] outline-dashed'"
      class="flex h-7 w-40 items-center gap-2 border-2 px-2"
      :style="{ borderColor: pair.text_hex }"
    >
      <svg viewBox="0 0 12 12" class="h-3 w-3" aria-hidden="true">
        <path d="M1 11 4 10 11 3 9 1 2 8z" fill="none" stroke="currentColor" stroke-width="1.5" />
      </svg>
      <span class="sr-only">{{ pair.sample }}</span>
    </span>
    <span
      v-else
      class="truncate"
      :class="[look, isUnseen && 'is-unseen']"
      :style="{
        fontSize: pair.size ? `${Math.min(pair.size, 40).toString()}px` : undefined,
        fontWeight: pair.weight ?? undefined,
      }"
      >{{ pair.sample }}</span
    >
  </div>
</template>
