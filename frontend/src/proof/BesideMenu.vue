<script setup lang="ts">
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue'

/** Which takes stand beside the open one, two at most, and whether an edge runs between. */
defineProps<{ takes: readonly { id: string; name: string }[] }>()
const chosen = defineModel<string[]>({ required: true })
const slides = defineModel<boolean>('slides', { required: true })
const MOST = 2

function toggle(id: string) {
  chosen.value = chosen.value.includes(id)
    ? chosen.value.filter((one) => one !== id)
    : [...chosen.value, id].slice(-MOST)
}
</script>

<template>
  <Popover v-if="takes.length" class="relative">
    <PopoverButton class="button">Side by side…</PopoverButton>
    <PopoverPanel class="absolute top-full right-0 z-30 mt-px w-56 border border-ink bg-sheet p-3">
      <fieldset>
        <legend class="mb-1 text-quiet">Up to two takes beside this one</legend>
        <label v-for="one in takes" :key="one.id" class="flex min-h-6.5 items-center gap-2">
          <input
            type="checkbox"
            class="accent-ink"
            :checked="chosen.includes(one.id)"
            @change="toggle(one.id)"
          />
          <span class="truncate">{{ one.name }}</span>
        </label>
      </fieldset>
      <label
        v-if="chosen.length === 1"
        class="mt-2 flex items-center gap-2 border-t border-hair pt-2"
      >
        <input v-model="slides" type="checkbox" class="accent-ink" /> One on the other, with an edge
        to drag
      </label>
    </PopoverPanel>
  </Popover>
</template>
