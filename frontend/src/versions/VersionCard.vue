<script setup lang="ts">
import { useRoute } from 'vue-router'
import type { ListedVersion } from '@/api/types'

defineProps<{
  version: ListedVersion
  isShown: boolean
  isLookedAt: boolean
  /** Who approved it, where a client did. */
  approvedBy: string | undefined
}>()
const emit = defineEmits<{ look: []; restore: [] }>()
const route = useRoute()

const when = (text: string) =>
  new Date(text).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' })
</script>

<template>
  <div
    class="grid grid-cols-[minmax(0,1fr)_260px_auto_auto] max-[900px]:grid-cols-[minmax(0,1fr)_auto_auto] items-center gap-4 border-b border-hair bg-sheet px-3 py-2"
    :class="isShown && 'shadow-[inset_4px_0_0_var(--ink)]'"
  >
    <RouterLink
      :to="{ name: 'versions', params: { ...route.params, number: version.number } }"
      class="min-w-0"
      :aria-current="isShown ? 'true' : undefined"
    >
      <span class="block wrap-break-word">
        <b class="font-semibold">Version {{ version.number }}</b>
        <span v-if="version.description"
          >, <bdi>{{ version.description }}</bdi></span
        >
        <b v-if="approvedBy" class="ml-2 border border-ink px-1 font-semibold"
          >approved by <span dir="auto">{{ approvedBy }}</span></b
        >
      </span>
      <span class="block text-quiet"
        >{{ when(version.created_at) }}{{ version.is_automatic ? ', saved by Tonada' : '' }}</span
      >
    </RouterLink>
    <span class="keeps-color flex h-7 border border-hair max-[900px]:hidden" aria-hidden="true">
      <span
        v-for="(hex, row) in version.hexes"
        :key="row"
        class="flex-1"
        :style="{ backgroundColor: hex }"
      ></span>
    </span>
    <button
      type="button"
      class="button"
      :class="isLookedAt && 'bg-ink! text-sheet!'"
      :aria-pressed="isLookedAt"
      :aria-label="`Look at it: version ${version.number.toString()}, in every view`"
      @click="emit('look')"
    >
      Look at it
    </button>
    <button type="button" class="button" @click="emit('restore')">Restore</button>
  </div>
</template>
