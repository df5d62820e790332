<script setup lang="ts">
/** again: what failed can be asked for again, so that there is nothing to dismiss. */
defineProps<{ text: string; again?: boolean }>()
const emit = defineEmits<{ dismiss: []; again: [] }>()
</script>

<template>
  <div
    role="alert"
    class="flex flex-wrap items-center gap-x-3 gap-y-2 border-2 border-ink bg-sheet px-3 py-2"
  >
    <svg viewBox="0 0 10 10" class="h-3 w-3 flex-none" aria-hidden="true">
      <path d="M5 0 10 10H0z" fill="currentColor" />
    </svg>
    <p class="min-w-48 flex-1">{{ text }}</p>
    <slot />
    <button v-if="again" type="button" class="button" @click="emit('again')">Try again</button>
    <button v-else type="button" class="button" @click="emit('dismiss')">Dismiss</button>
  </div>
</template>
