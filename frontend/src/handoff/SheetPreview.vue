<script setup lang="ts">
import { computed } from 'vue'
import { api, answerOf } from '@/api/client'
import type { PreviewBody } from '@/api/types'
import { countOf } from '@/ui/format'
import { useFollowing } from '@/ui/useFollowing'

/** The client's sheet, page by page, as the PDF has it. A newer wish cancels the one before. */
const props = defineProps<{ body: PreviewBody }>()
const {
  answer: sheet,
  problem,
  isAsking,
} = useFollowing(
  () => props.body,
  (body, signal) => answerOf(api.POST('/api/handoff/sheet', { body, signal })),
  { wait: 250 },
)
const said = computed(() => {
  if (isAsking.value) return 'Setting the sheet…'
  if (!sheet.value) return ''
  const { count, pages, size } = sheet.value
  const shown = pages.length < count ? `, the first ${pages.length.toString()} shown` : ''
  return `${countOf(count, 'page', 'pages')}${shown}, ${Math.round(size / 1024).toString()} KB as PDF`
})
</script>

<template>
  <div
    class="min-h-0 flex-1 overflow-y-auto bg-surround p-4"
    tabindex="0"
    role="region"
    aria-label="The sheet as it is printed"
    data-testid="sheet"
  >
    <p role="status" class="mb-2 text-quiet">{{ said }}</p>
    <p v-if="problem" role="alert" class="font-semibold">{{ problem }}</p>
    <template v-else-if="sheet">
      <img
        v-for="(page, row) in sheet.pages"
        :key="row"
        class="keeps-color mx-auto mb-4 w-full max-w-160 border border-hair"
        :class="isAsking && 'opacity-50'"
        :src="page"
        :alt="`Page ${(row + 1).toString()} of the sheet`"
      />
    </template>
  </div>
</template>
