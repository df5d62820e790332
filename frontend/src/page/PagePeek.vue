<script setup lang="ts">
import PageStage from './PageStage.vue'
import { usePagePreview } from './usePagePreview'

/** The page beside the inspector while something in there is only pointed at. */
const { document, place } = usePagePreview()
</script>

<template>
  <div
    v-if="document && place === 'inspector'"
    class="pointer-events-none absolute inset-y-0 right-full z-20 flex w-73 flex-col border-x border-ink bg-sheet max-[900px]:hidden"
    data-testid="peek"
  >
    <p class="border-b border-ink px-2 py-1.5 font-semibold">As it would look</p>
    <PageStage :document="document" />
  </div>
</template>
