<script setup lang="ts">
import PaletteStave from './PaletteStave.vue'
import type { Palette } from '@/api/types'
import { countOf } from '@/ui/format'

/** A palette to leaf through: its small stave over its measure. */
defineProps<{ palette: Palette; isChosen: boolean }>()
</script>

<template>
  <div
    class="border bg-sheet -outline-offset-2"
    :class="isChosen ? 'border-ink outline-2 outline-ink' : 'border-hair hover:border-ink'"
  >
    <PaletteStave :palette="palette" />
    <div class="keeps-color flex h-6 border-t border-hair" aria-hidden="true">
      <span
        v-for="color in palette.colors"
        :key="color.role"
        :style="{ backgroundColor: color.hex, flexGrow: color.share }"
      ></span>
    </div>
    <p class="flex items-baseline gap-1.5 border-t border-hair px-2 py-1.5">
      <span class="truncate font-semibold" :title="palette.name">{{ palette.name }}</span>
      <svg v-if="palette.is_starred" viewBox="0 0 10 10" class="h-2.5 w-2.5 flex-none">
        <title>starred</title>
        <path
          d="M5 0 6.5 3.5 10 3.8 7.3 6.2 8.1 10 5 8 1.9 10 2.7 6.2 0 3.8 3.5 3.5z"
          fill="currentColor"
        />
      </svg>
      <span class="ml-auto flex-none text-small text-quiet">
        <template v-if="palette.is_own">your own · </template
        >{{ palette.hues ? countOf(palette.hues, 'hue', 'hues').toLowerCase() : 'greys' }}</span
      >
    </p>
  </div>
</template>
