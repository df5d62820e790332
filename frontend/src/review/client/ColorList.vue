<script setup lang="ts">
import { useCopy } from '@/ui/useCopy'
import type { ShownColor } from '@/api/types'

/** The palette in words that anybody reads; every value can be copied. */
defineProps<{ colors: readonly ShownColor[]; picks: boolean; chosen: string | undefined }>()
const emit = defineEmits<{ pick: [color: ShownColor] }>()
const { copyValue, isCopied } = useCopy()
</script>

<template>
  <ul data-testid="colors">
    <li
      v-for="color in colors"
      :key="color.hex"
      class="border-b border-hair last:border-b-0"
      :class="chosen === color.hex && 'outline-3 -outline-offset-3 outline-ink'"
    >
      <div
        class="keeps-color flex min-h-14 flex-wrap items-end gap-x-3 gap-y-1 px-3 py-2"
        :style="{ backgroundColor: color.hex, color: color.label }"
      >
        <h3 class="min-w-24 flex-1 text-[15px] leading-tight [overflow-wrap:anywhere]" dir="auto">
          <bdi>{{ color.name }}</bdi>
        </h3>
        <button
          v-if="picks"
          type="button"
          class="min-h-7 border border-current px-2 font-semibold whitespace-nowrap"
          :aria-label="`Add a remark about ${color.name}`"
          @click="emit('pick', color)"
        >
          Add a remark
        </button>
      </div>
      <div class="bg-sheet px-3 py-2">
        <p>{{ color.used_for }}</p>
        <ul class="mt-1.5 flex flex-wrap gap-1.5">
          <li v-for="value in color.values" :key="value.notation">
            <button
              type="button"
              class="value min-h-7 border border-hair px-1.5 text-small hover:border-ink"
              :aria-label="isCopied(value.text) ? `${value.text} copied` : `Copy ${value.text}`"
              @click="copyValue(value.text)"
            >
              {{ isCopied(value.text) ? 'copied' : value.text }}
            </button>
          </li>
        </ul>
      </div>
    </li>
  </ul>
</template>
