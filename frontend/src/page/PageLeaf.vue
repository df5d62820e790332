<script setup lang="ts">
import PageStage from './PageStage.vue'
import type { PickedPart } from './PageStage.vue'
import { usePageChoice } from './usePageChoice'
import type { TakeDocument } from '@/api/types'
import ChoiceList from '@/ui/ChoiceList.vue'

/** The page that stands beside a view: it follows every change, and its parts can be chosen. */
defineProps<{ document: TakeDocument; note?: string }>()
const emit = defineEmits<{ pick: [part: PickedPart] }>()
const { options, chosen } = usePageChoice()
</script>

<template>
  <div class="flex min-h-0 flex-1 flex-col">
    <PageStage :document="document" picks @pick="emit('pick', $event)" />
    <div class="flex items-center gap-2 border-t border-ink px-2 py-1.5">
      <ChoiceList
        v-model="chosen"
        class="w-44 flex-none"
        label="Page shown"
        align="left"
        up
        :options="options"
      />
      <span class="min-w-0 flex-1 text-small leading-tight text-quiet" role="status">{{
        note
      }}</span>
    </div>
  </div>
</template>
