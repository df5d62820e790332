<script setup lang="ts">
import { computed } from 'vue'

/** The stage's main action, in reach whatever stands beside it, and what came of it. */
const props = defineProps<{ isBuilt: boolean; replaces: boolean; failing: number }>()
const emit = defineEmits<{ build: [] }>()
const action = computed(() => {
  if (props.isBuilt) return 'Palette built'
  return props.replaces ? 'Rebuild from this source' : 'Build the palette'
})
const next = computed(() => {
  if (props.failing > 1) return `See ${props.failing.toString()} failing pairs`
  return props.failing ? 'See the failing pair' : 'See the pairs'
})
</script>

<template>
  <div class="sticky top-0 z-10 -my-1 flex flex-wrap items-center gap-3 bg-surround py-1">
    <button type="button" class="button-solid" :disabled="isBuilt" @click="emit('build')">
      {{ action }}
    </button>
    <RouterLink v-if="isBuilt" :to="{ name: 'pairs' }" class="underline underline-offset-2">{{
      next
    }}</RouterLink>
  </div>
</template>
