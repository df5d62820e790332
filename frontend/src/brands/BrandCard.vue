<script setup lang="ts">
import { computed } from 'vue'
import type { BrandSummary } from '@/api/types'
import ActionMenu from '@/ui/ActionMenu.vue'
import DotsIcon from '@/ui/DotsIcon.vue'
import { countOf, formatAge } from '@/ui/format'
import ScaleStrip from '@/ui/ScaleStrip.vue'
import type { BrandAction, Shelf } from './useBrands'

/** A brand: its logo, its colours on the contrast scale and in their shares, and what falls short. */
const props = defineProps<{ brand: BrandSummary; shelf: Shelf; to: object }>()
const emit = defineEmits<{ act: [action: BrandAction] }>()

const letters = new Intl.Segmenter(undefined, { granularity: 'grapheme' })
const initials = computed(() =>
  props.brand.brand.name
    .split(/\s+/)
    .map((word) => letters.segment(word).containing(0)?.segment ?? '')
    .filter((letter) => /\p{L}|\p{N}/u.test(letter))
    .slice(0, 2)
    .join('')
    .toUpperCase(),
)
const state = computed(() => {
  const { swatches, sources, failing, level } = props.brand
  if (!swatches.length) return sources ? 'No palette yet' : 'No logo yet'
  return failing
    ? `${countOf(failing, 'pair fails', 'pairs fail')} ${level}`
    : `Every pair passes ${level}`
})
/** What is out for review, and what came back. */
const review = computed(() => {
  const { reviews } = props.brand
  if (!reviews) return ''
  const { approved, out, unresolved } = reviews
  const state = approved ?? (out ? 'Out for review' : '')
  const said = unresolved ? countOf(unresolved, 'remark', 'remarks').toLowerCase() : ''
  return [state, said].filter(Boolean).join(', ')
})
const ACTIONS: Readonly<Record<Shelf, readonly { value: BrandAction; label: string }[]>> = {
  open: [
    { value: 'rename', label: 'Rename' },
    { value: 'copy', label: 'Duplicate' },
    { value: 'download', label: 'Download as a file' },
    { value: 'archive', label: 'Archive' },
    { value: 'delete', label: 'Delete' },
  ],
  archived: [
    { value: 'open', label: 'Back to work' },
    { value: 'rename', label: 'Rename' },
    { value: 'download', label: 'Download as a file' },
    { value: 'delete', label: 'Delete' },
  ],
  deleted: [{ value: 'restore', label: 'Restore' }],
}
</script>

<template>
  <article
    class="relative grid grid-cols-[120px_minmax(0,1fr)] border border-ink bg-sheet max-[600px]:grid-cols-[72px_minmax(0,1fr)]"
  >
    <div class="keeps-color flex items-center justify-center border-r border-hair bg-plate p-4">
      <img
        v-if="brand.logo"
        :src="`/api/sources/${brand.logo}/preview`"
        alt=""
        class="max-h-24 max-w-full object-contain"
        loading="lazy"
      />
      <span
        v-else
        class="text-[26px] font-bold"
        :style="{ color: brand.swatches[0]?.hex ?? '#000000' }"
        aria-hidden="true"
        >{{ initials }}</span
      >
    </div>
    <div class="flex min-w-0 flex-col">
      <div class="flex items-start gap-3 px-3.5 pt-2.5">
        <div class="min-w-0 flex-1">
          <h2 class="truncate text-[17px] leading-6 font-semibold" :title="brand.brand.name">
            <RouterLink
              v-if="shelf !== 'deleted'"
              :to="to"
              dir="auto"
              class="block truncate leading-6 after:absolute after:inset-0 hover:underline"
              >{{ brand.brand.name }}</RouterLink
            >
            <template v-else>{{ brand.brand.name }}</template>
          </h2>
          <p class="mt-1 flex flex-wrap gap-x-4">
            <span class="text-quiet">{{ countOf(brand.takes, 'take', 'takes') }}</span>
            <span :class="brand.swatches.length ? 'font-semibold' : ''">{{ state }}</span>
            <RouterLink
              v-if="review && shelf === 'open'"
              class="relative z-10 leading-6 underline"
              :to="{ name: 'reviews', params: { brandId: brand.brand.id } }"
              >{{ review }}</RouterLink
            >
          </p>
        </div>
        <time
          class="text-quiet"
          :datetime="brand.changed_at"
          :title="new Date(brand.changed_at).toLocaleString()"
          >{{ formatAge(brand.changed_at) }}</time
        >
        <ActionMenu
          class="relative z-10"
          :actions="ACTIONS[shelf]"
          :label="`Options for ${brand.brand.name}`"
          button-class="px-1.5 py-1.5 hover:bg-surround"
          @act="emit('act', $event)"
        >
          <DotsIcon />
        </ActionMenu>
      </div>
      <div class="flex-1 px-3.5 py-2"><ScaleStrip :swatches="brand.swatches" /></div>
      <div
        v-if="brand.measure.length"
        class="keeps-color flex h-8.5 border-t border-ink bg-plate"
        aria-hidden="true"
      >
        <span
          v-for="(cell, row) in brand.measure"
          :key="row"
          :style="{ backgroundColor: cell.hex, flexGrow: cell.share }"
        ></span>
      </div>
    </div>
  </article>
</template>
