<script setup lang="ts">
/** What a step says while there is no palette yet, and the way to begin one. */
defineProps<{ title: string; text: string }>()
</script>

<template>
  <div
    class="flex h-full flex-col items-center justify-center border border-dashed border-ink bg-sheet p-8 text-center"
  >
    <h2 class="text-title">{{ title }}</h2>
    <p class="mt-1 max-w-100 text-quiet">{{ text }}</p>
    <RouterLink :to="{ name: 'source' }" class="button-solid mt-4">Go to Source</RouterLink>
  </div>
</template>
