<script setup lang="ts">
import { computed } from 'vue'
import TriedColors from './TriedColors.vue'
import type { Extent, useTried } from './useTried'
import type { PaletteColor } from '@/api/types'
import PageLeaf from '@/page/PageLeaf.vue'
import ActionMenu from '@/ui/ActionMenu.vue'
import DotsIcon from '@/ui/DotsIcon.vue'
import NoticeBar from '@/ui/NoticeBar.vue'
import RadioBar from '@/ui/RadioBar.vue'
import { countOf } from '@/ui/format'

export type TriedAction = 'like' | 'star' | 'edit' | 'delete'

/** The palette that is tried, on the brand's own page, and what can be done with it. */
const props = defineProps<{
  tried: ReturnType<typeof useTried>['tried']['value']
  extent: Extent
  isHolding: boolean
  isEmptyTake: boolean
  isBusy: boolean
  roles: readonly string[]
  problem: string
  done: string
}>()
const emit = defineEmits<{
  'update:extent': [extent: Extent]
  take: []
  color: [color: PaletteColor, role: string | null]
  act: [action: TriedAction]
  dismiss: []
}>()
const EXTENTS = [
  { value: 'all', label: 'All of it' },
  { value: 'free', label: 'What is free' },
] as const

const palette = computed(() => props.tried?.palette)
const proven = computed(() => {
  const { tried } = props
  if (!tried) return ''
  const level = tried.document.level ?? 'AA'
  if (tried.said.length) return `Not every pair reaches ${level}:`
  if (tried.failing) return `${countOf(tried.failing, 'pair fails', 'pairs fail')} ${level}.`
  const { pairs } = tried.palette
  const all =
    props.extent === 'all' && pairs ? `All ${pairs.toString()} pairs pass` : 'Every pair passes'
  return `${all} ${level}, by day and by night.`
})
const actions = computed(() => {
  if (!palette.value) return []
  const own = palette.value.is_own
  return [
    { value: 'like' as const, label: 'More like this one' },
    { value: 'star' as const, label: palette.value.is_starred ? 'Remove the star' : 'Star it' },
    ...(own
      ? [
          { value: 'edit' as const, label: 'Name and tags' },
          { value: 'delete' as const, label: 'Delete' },
        ]
      : []),
  ]
})
const words = computed(() =>
  palette.value
    ? [...palette.value.tags, ...palette.value.moods, ...palette.value.trades].join(', ')
    : '',
)
const act = computed(() =>
  props.extent === 'free'
    ? 'Use it in this take'
    : props.isEmptyTake
      ? 'Begin with it'
      : 'Use it as a new take',
)
</script>

<template>
  <aside
    aria-label="The palette on your page"
    class="flex min-h-0 flex-col border-l border-hair bg-sheet max-[900px]:border-t max-[900px]:border-l-0"
  >
    <template v-if="tried && palette">
      <div class="flex items-center gap-2 border-b border-ink px-3 py-1.5">
        <h2 class="min-w-0 flex-1 truncate text-body" :title="palette.name">
          {{ palette.name }}
          <span class="font-normal text-quiet">on your page</span>
        </h2>
        <ActionMenu
          class="relative"
          :actions="actions"
          :label="`Options for ${palette.name}`"
          button-class="px-1.5 py-1.5 hover:bg-surround"
          @act="emit('act', $event)"
        >
          <DotsIcon />
        </ActionMenu>
      </div>
      <div class="flex min-h-0 flex-1 flex-col max-[900px]:min-h-130">
        <PageLeaf :document="tried.document" />
      </div>
      <div class="flex flex-col gap-2 border-t border-ink p-3">
        <NoticeBar v-if="problem" :text="problem" @dismiss="emit('dismiss')" />
        <RadioBar
          v-if="isHolding"
          class="self-start"
          :model-value="extent"
          small
          label="How much of it"
          :options="EXTENTS"
          @update:model-value="emit('update:extent', $event)"
        />
        <button type="button" class="button-solid" :disabled="isBusy" @click="emit('take')">
          {{ act }}
        </button>
        <TriedColors
          :palette="palette"
          :roles="roles"
          @take="(color, role) => emit('color', color, role)"
        />
        <p role="status" :class="tried.failing || tried.said.length ? 'font-semibold' : ''">
          {{ done || proven }}
        </p>
        <ul v-if="tried.said.length" class="max-h-24 overflow-y-auto text-small" tabindex="0">
          <li v-for="sentence in tried.said" :key="sentence">{{ sentence }}</li>
        </ul>
        <p v-if="words" class="text-small text-quiet">{{ words }}</p>
      </div>
    </template>
    <div v-else class="p-4">
      <NoticeBar v-if="problem" :text="problem" @dismiss="emit('dismiss')" />
      <h2 v-else class="text-title">Choose a palette</h2>
      <p class="mt-2 text-quiet">
        See it on your own page before you use it. Arrow keys go through the list.
      </p>
    </div>
  </aside>
</template>
