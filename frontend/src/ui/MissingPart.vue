<script setup lang="ts">
import { watch } from 'vue'
import { useMissingPart } from './missingPart'

/** Stands for a part whose code can't be loaded. A sheet is closed again, so that wanting it once more says it again. */
const shown = defineModel<boolean | undefined>({ default: undefined })
const { isMissing } = useMissingPart()

watch(
  shown,
  (isShown) => {
    if (isShown === false) return
    isMissing.value = true
    if (isShown) shown.value = false
  },
  { immediate: true },
)
</script>

<template>
  <p v-if="shown === undefined" class="text-quiet">This could not be loaded.</p>
</template>
