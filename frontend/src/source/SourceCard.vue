<script setup lang="ts">
import { computed } from 'vue'
import type { Source } from '@/api/types'
import ActionMenu from '@/ui/ActionMenu.vue'
import { countOf } from '@/ui/format'

const props = defineProps<{ source: Source; isSelected: boolean }>()
const emit = defineEmits<{ select: []; rename: []; replace: []; remove: [] }>()

type Action = 'rename' | 'replace' | 'remove'
const actions = computed<{ value: Action; label: string }[]>(() => [
  { value: 'rename', label: 'Rename' },
  ...(props.source.mood ? [] : [{ value: 'replace' as const, label: 'Replace its file' }]),
  { value: 'remove', label: 'Remove' },
])
function act(action: Action) {
  if (action === 'rename') emit('rename')
  else if (action === 'replace') emit('replace')
  else emit('remove')
}

const told = computed(() => {
  const { source } = props
  if (source.stylesheet) {
    const { uses, groups } = source.stylesheet
    return `${uses.length} colours, ${uses.length - groups.length} alike`
  }
  if (source.mood) return `A mood, ${source.colors.length} colours`
  const count = countOf(source.colors.length, 'colour', 'colours')
  if (source.list) return `${count}, listed`
  return source.image?.exact ? `${count}, exact` : count
})
const MARKS = { stylesheet: '{ }', list: '#', mood: '“ ”', image: '' } as const
</script>

<template>
  <div class="relative border" :class="isSelected ? 'border-ink' : 'border-hair hover:border-ink'">
    <button
      type="button"
      class="flex w-full items-center gap-2 p-1.5 pr-7 text-left"
      :aria-pressed="isSelected"
      @click="emit('select')"
    >
      <span
        class="flex h-10.5 w-10.5 flex-none items-center justify-center overflow-hidden"
        :class="source.has_preview ? 'bg-plate' : 'bg-surround'"
      >
        <img
          v-if="source.has_preview"
          :src="`/api/sources/${source.id}/preview`"
          alt=""
          class="keeps-color max-h-full max-w-full"
        />
        <span v-else class="value" aria-hidden="true">{{ MARKS[source.kind] }}</span>
      </span>
      <span class="min-w-0">
        <span class="block truncate font-semibold" :title="source.name">{{ source.name }}</span>
        <span class="block leading-tight text-quiet">{{ told }}</span>
      </span>
    </button>
    <ActionMenu
      class="absolute top-0.5 right-0.5"
      :actions="actions"
      :label="`Options for ${source.name}`"
      button-class="flex h-6 w-6 items-center justify-center hover:bg-surround"
      @act="act"
    >
      <svg viewBox="0 0 12 12" class="h-3 w-3" aria-hidden="true">
        <path d="M5 0h2v2H5zM5 5h2v2H5zM5 10h2v2H5z" fill="currentColor" />
      </svg>
    </ActionMenu>
  </div>
</template>
