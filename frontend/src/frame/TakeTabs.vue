<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useInView } from './useInView'
import ActionMenu from '@/ui/ActionMenu.vue'
import DotsIcon from '@/ui/DotsIcon.vue'
import { api, answerOf } from '@/api/client'
import { ACCEPTED } from '@/api/constants'
import { pickedFiles } from '@/ui/pickedFiles'
import type { TakeSummary } from '@/api/types'
import { usePagePreview } from '@/page/usePagePreview'

export type TakeAction =
  | 'copy'
  | 'empty'
  | 'file'
  | 'rename'
  | 'left'
  | 'right'
  | 'delete'
  | 'versions'
  | 'compare'
  | 'deleted'

const props = defineProps<{ takes: readonly TakeSummary[]; hasDeleted: boolean }>()
const emit = defineEmits<{ act: [action: TakeAction]; file: [file: File] }>()
const picker = useTemplateRef('picker')
function act(action: TakeAction) {
  if (action === 'file') picker.value?.click()
  else emit('act', action)
}
function picked(event: Event) {
  const [file] = pickedFiles(event)
  if (file) emit('file', file)
}
const route = useRoute()
const router = useRouter()
useInView('tabs')
/** More than stand beside one another in any window are found in a menu too. */
const MANY = 3
const addressOf = (takeId: string) => ({
  name: route.name ?? 'source',
  params: { ...route.params, takeId },
})
const { previewing } = usePagePreview()
const looking = (id: string) =>
  previewing(async (signal) => {
    if (id === route.params.takeId) return undefined
    const params = { path: { take_id: id } }
    return (await answerOf(api.GET('/api/takes/{take_id}', { params, signal }))).document
  })

const place = computed(() => props.takes.findIndex((one) => one.id === route.params.takeId))
const actions = computed<{ value: TakeAction; label: string; disabled?: boolean }[]>(() => [
  { value: 'rename', label: 'Rename' },
  { value: 'copy', label: 'Copy as a new take' },
  { value: 'empty', label: 'New empty take' },
  { value: 'file', label: 'Open a take’s file' },
  { value: 'left', label: 'Move left', disabled: place.value <= 0 },
  { value: 'right', label: 'Move right', disabled: place.value >= props.takes.length - 1 },
  { value: 'versions', label: 'Versions' },
  { value: 'compare', label: 'Compare takes', disabled: props.takes.length < 2 },
  { value: 'delete', label: 'Delete', disabled: props.takes.length < 2 },
  ...(props.hasDeleted ? [{ value: 'deleted' as const, label: 'Deleted takes' }] : []),
])
</script>

<template>
  <nav aria-label="Takes" class="flex min-w-0 items-stretch border border-ink">
    <div ref="tabs" class="flex min-w-0 overflow-x-auto">
      <RouterLink
        v-for="take in takes"
        :key="take.id"
        :to="addressOf(take.id)"
        :title="take.name"
        dir="auto"
        class="max-w-40 flex-none truncate border-r border-ink px-3 py-1 font-semibold whitespace-nowrap -outline-offset-3"
        active-class="bg-ink text-sheet"
        :class="route.params.takeId === take.id ? '' : 'hover:bg-surround'"
        v-on="looking(take.id)"
        >{{ take.name }}</RouterLink
      >
    </div>
    <ActionMenu
      v-if="takes.length > MANY"
      class="relative flex border-r border-ink"
      align="right"
      :actions="takes.map((one) => ({ value: one.id, label: one.name }))"
      :label="`All ${takes.length} takes`"
      button-class="px-2.5 -outline-offset-3 hover:bg-surround"
      @act="router.push(addressOf($event))"
    >
      <span aria-hidden="true">▾</span>
    </ActionMenu>
    <button
      type="button"
      class="border-r border-ink px-3 font-semibold -outline-offset-3 hover:bg-surround"
      aria-label="New take, as a copy of this one"
      title="New take, as a copy of this one"
      @click="emit('act', 'copy')"
    >
      +
    </button>
    <ActionMenu
      class="relative flex"
      align="left"
      :actions="actions"
      label="Options for this take"
      button-class="px-2.5 -outline-offset-3 hover:bg-surround"
      @act="act"
    >
      <DotsIcon />
    </ActionMenu>
    <input
      ref="picker"
      type="file"
      class="hidden"
      aria-label="A take’s file"
      data-testid="take-file"
      :accept="ACCEPTED.own"
      @change="picked"
    />
  </nav>
</template>
