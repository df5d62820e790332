<script setup lang="ts">
import type { BrandDetail } from '@/api/types'
import { formatAge } from '@/ui/format'
import SheetDialog from '@/ui/SheetDialog.vue'

/** Takes of the brand that were deleted, here or in another window: each can be brought back. */
defineProps<{ takes: BrandDetail['removed_takes'] }>()
const emit = defineEmits<{ restore: [id: string] }>()
const shown = defineModel<boolean>({ required: true })
</script>

<template>
  <SheetDialog v-model="shown" title="Deleted takes">
    <ul class="rule-list mt-3">
      <li v-for="take in takes" :key="take.id" class="flex items-center gap-3 py-1.5">
        <span class="min-w-0 flex-1 truncate font-semibold" :title="take.name">{{
          take.name
        }}</span>
        <span class="text-quiet">{{ formatAge(take.removed_at) }}</span>
        <button
          type="button"
          class="button"
          :aria-label="`Restore: ${take.name}`"
          @click="emit('restore', take.id)"
        >
          Restore
        </button>
      </li>
    </ul>
    <button type="button" class="button-solid mt-4" @click="shown = false">Close</button>
  </SheetDialog>
</template>
