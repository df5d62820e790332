<script setup lang="ts">
import { ChosenColor } from './laterParts'
import { useChosenColor } from './useChosenColor'

/** Beside a view that has no page of its own to show: what is chosen, or what the view has to say. */
const selected = useChosenColor()
</script>

<template>
  <aside
    aria-label="Inspector"
    class="relative overflow-y-auto border-l border-hair bg-sheet p-4"
    tabindex="0"
  >
    <ChosenColor v-if="selected" />
    <slot v-else />
  </aside>
</template>
