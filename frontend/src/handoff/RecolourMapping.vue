<script setup lang="ts">
import type { useRecolouring } from './useRecolouring'
import ColorCombo from '@/take/ColorCombo.vue'

/** Each old colour, and what has its place. */
defineProps<{ recolouring: ReturnType<typeof useRecolouring> }>()
</script>

<template>
  <ul class="border-t border-ink bg-sheet" data-testid="mapping">
    <li
      v-for="color in recolouring.colors.value"
      :key="color.hex"
      class="flex flex-wrap items-center gap-2 border-x border-b border-hair px-2 py-1"
    >
      <span class="keeps-color flex flex-none border border-hair">
        <span class="h-6 w-7" :style="{ backgroundColor: color.hex }"></span>
        <span class="h-6 w-7" :style="{ backgroundColor: recolouring.shownOf(color).hex }"></span>
      </span>
      <span class="min-w-0 flex-1 truncate"
        ><span class="value">{{ color.hex }}</span>
        <span class="ml-2 text-quiet">
          {{ color.count }} ×<template v-if="color.members.length > 1"
            >, {{ color.members.length }} alike</template
          ></span
        ></span
      >
      <button
        v-if="recolouring.isChosen(color)"
        type="button"
        class="min-h-6 flex-none px-1 text-small underline underline-offset-2"
        :aria-label="`yours: give ${color.hex} back to the rule`"
        @click="recolouring.choose(color, color.key)"
      >
        yours
      </button>
      <ColorCombo
        class="w-44 flex-none max-[640px]:w-full"
        :label="`${color.hex} becomes`"
        :model-value="recolouring.keyOf(color)"
        :name="recolouring.shownOf(color).name"
        :choices="recolouring.choices.value"
        @update:model-value="recolouring.choose(color, $event)"
      />
    </li>
  </ul>
</template>
