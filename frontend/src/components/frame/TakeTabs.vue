<script setup lang="ts">
import { useRoute } from 'vue-router'
import type { TakeSummary } from '@/api/types'

defineProps<{ takes: readonly TakeSummary[] }>()
const emit = defineEmits<{ duplicate: [] }>()
const route = useRoute()
</script>

<template>
  <nav aria-label="Takes" class="flex min-w-0 items-stretch border border-ink">
    <div class="flex min-w-0 overflow-x-auto">
      <RouterLink
        v-for="take in takes"
        :key="take.id"
        :to="{ name: route.name ?? 'source', params: { ...route.params, takeId: take.id } }"
        class="max-w-40 truncate border-r border-ink px-3 py-1 font-semibold whitespace-nowrap -outline-offset-3"
        active-class="bg-ink text-sheet"
        :class="route.params.takeId === take.id ? '' : 'hover:bg-surround'"
        >{{ take.name }}</RouterLink
      >
    </div>
    <button
      type="button"
      class="px-3 font-semibold -outline-offset-3 hover:bg-surround"
      aria-label="New take, as a copy of this one"
      title="New take, as a copy of this one"
      @click="emit('duplicate')"
    >
      +
    </button>
  </nav>
</template>
