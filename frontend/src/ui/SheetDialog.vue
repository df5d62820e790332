<script setup lang="ts">
import { useWanted } from './useWanted'
import { SheetPanel } from './sheetPanel'

/** A sheet over the view. Nothing of it is there before it is opened for the first time. */
defineProps<{ title: string; description?: string; wide?: boolean }>()
const shown = defineModel<boolean>({ required: true })
const isWanted = useWanted(shown)
</script>

<template>
  <SheetPanel
    v-if="isWanted"
    v-model="shown"
    :title="title"
    :description="description"
    :wide="wide"
  >
    <slot />
  </SheetPanel>
</template>
