<script setup lang="ts">
import { ref } from 'vue'
import ActionMenu from '@/ui/ActionMenu.vue'
import { pickedFiles } from '@/ui/pickedFiles'

/** The studio's own palettes as a file, and back: to share them, or to take them elsewhere. */
const emit = defineEmits<{ file: [file: File] }>()
const input = ref<HTMLInputElement>()
const ACTIONS = [
  { value: 'import', label: 'Add the palettes of a file' },
  { value: 'tonada', label: 'Your own as a file' },
  { value: 'tokens', label: 'Your own as design tokens' },
] as const

function act(action: (typeof ACTIONS)[number]['value']) {
  if (action === 'import') input.value?.click()
  else location.assign(`/api/palettes/files?format=${action}`)
}

function picked(event: Event) {
  const [file] = pickedFiles(event)
  if (file) emit('file', file)
}
</script>

<template>
  <ActionMenu class="relative" :actions="ACTIONS" label="Files of palettes" @act="act">
    Files
  </ActionMenu>
  <input
    ref="input"
    type="file"
    class="hidden"
    accept=".json,.tokens,application/json"
    aria-label="A list of palettes"
    data-testid="palette-file"
    @change="picked"
  />
</template>
