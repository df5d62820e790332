<script setup lang="ts">
import { Tab, TabGroup, TabList, TabPanel, TabPanels } from '@headlessui/vue'
import { computed, defineAsyncComponent } from 'vue'
import { ChosenColor } from '@/panel/laterParts'
import { useDrawer } from '@/panel/useDrawer'
import { useLeaf } from '@/panel/useLeaf'
import { useSelection } from '@/take/useSelection'
import type { Leaf } from '@/panel/useLeaf'
import { useChosenColor } from '@/panel/useChosenColor'
import type { TakeDocument } from '@/api/types'
import type { PickedPart } from './PageStage.vue'
import { usePagePreview } from './usePagePreview'
import { useTakeStore } from '@/take/take'

// The sample pages are the largest part of a view, and what stands beside it: they may come after.
const PageLeaf = defineAsyncComponent(() => import('./PageLeaf.vue'))
const PagePeek = defineAsyncComponent(() => import('./PagePeek.vue'))

/** The leaves beside a view: the page, what is chosen, and what the view itself has to say. */
const props = withDefaults(
  defineProps<{
    view: string
    /** What the view's own leaf is called, and how many things it says. */
    own: string
    count?: number
    first?: 'page' | 'own'
    /** What is chosen in the view: in the own leaf, or in a leaf of that name. */
    chosen?: string | undefined
    chosenName?: string
    /** What the page is drawn from; without it there is no page. */
    document?: TakeDocument | undefined
    note?: string
  }>(),
  { count: 0, first: 'page', chosen: undefined, chosenName: '', document: undefined, note: '' },
)
const emit = defineEmits<{ pick: [part: PickedPart] }>()
const swatch = useChosenColor()
const { times } = useSelection('swatch')
const preview = usePagePreview()
const take = useTakeStore()

const chosenKey = computed(() => swatch.value ?? (props.chosenName ? props.chosen : undefined))
const { leaf } = useLeaf({
  view: props.view,
  first: props.first,
  chosen: () => chosenKey.value,
  own: () => (props.chosenName ? undefined : props.chosen),
  times: () => times.value,
  isDragging: () => take.preview !== undefined,
})
const { isNarrow, isOut, toggle } = useDrawer()
/** Where it is a drawer, it comes out and goes back. */
defineExpose({ open: () => (isOut.value = true), close: () => (isOut.value = false) })
const isInView = computed(() => swatch.value === undefined && chosenKey.value !== undefined)
/** Always the same ones in the same places: what comes and goes would take the choice with it. */
const leaves = computed<{ id: Leaf; name: string; count?: number }[]>(() => [
  { id: 'page', name: 'The page' },
  { id: 'chosen', name: isInView.value ? props.chosenName : 'Swatch' },
  { id: 'own', name: props.own, count: props.count },
])
const isPeekingBeside = computed(
  () => preview.document.value !== undefined && preview.place.value === 'inspector',
)
/** What is pointed at in the view is looked at on the page, whichever leaf is open. */
const isPeeking = computed(
  () => preview.document.value !== undefined && preview.place.value === 'view',
)
const open = computed(() => {
  const wanted = isPeeking.value ? 'page' : leaf.value
  return leaves.value.findIndex((one) => one.id === wanted)
})
const shown = computed(
  () => (isPeeking.value ? preview.document.value : undefined) ?? props.document,
)
</script>

<template>
  <button
    v-if="isNarrow"
    ref="opener"
    type="button"
    class="button-solid fixed right-3 bottom-3 z-30 max-w-[60vw]"
    :aria-expanded="isOut"
    aria-controls="inspector"
    @click="toggle"
  >
    <span class="truncate">{{ isOut ? 'Close' : (leaves[open]?.name ?? own) }}</span>
  </button>
  <aside
    v-show="!isNarrow || isOut"
    id="inspector"
    aria-label="Inspector"
    class="relative flex min-h-0 flex-col border-l border-hair bg-sheet max-[900px]:fixed max-[900px]:inset-y-0 max-[900px]:right-0 max-[900px]:z-20 max-[900px]:w-[min(88vw,340px)] max-[900px]:border-ink max-[900px]:pb-13"
  >
    <PagePeek v-if="isPeekingBeside" />
    <TabGroup
      :selected-index="open"
      as="div"
      class="flex min-h-0 flex-1 flex-col"
      @change="leaf = leaves[$event]?.id ?? 'own'"
    >
      <TabList class="flex flex-none border-b border-ink" aria-label="Leaves">
        <Tab
          v-for="one in leaves"
          :key="one.id"
          v-slot="{ selected }"
          class="min-w-0 flex-1 border-ink -outline-offset-3 not-first:border-l"
          ><span
            class="block truncate px-2 py-1.5 font-semibold"
            :class="selected ? 'bg-ink text-sheet' : 'hover:bg-surround'"
            >{{ one.name }}
            <span v-if="one.count" class="ml-1 border border-current px-1 text-small">{{
              one.count
            }}</span></span
          ></Tab
        >
      </TabList>
      <TabPanels class="flex min-h-0 flex-1 flex-col">
        <TabPanel
          v-for="(one, row) in leaves"
          :key="one.id"
          :tabindex="one.id === 'page' || row !== open ? -1 : 0"
          class="relative min-h-0 flex-1 -outline-offset-3"
          :class="one.id === 'page' ? 'flex flex-col' : 'overflow-y-auto p-4'"
        >
          <template v-if="one.id === 'page'">
            <PageLeaf
              v-if="shown && take.evaluation"
              :document="shown"
              :note="isPeeking ? 'as it would look' : note"
              @pick="emit('pick', $event)"
            />
            <p v-else-if="!shown" class="p-4 text-quiet">
              A sample page appears here as soon as there are colours. It follows every change.
            </p>
          </template>
          <template v-else-if="one.id === 'chosen'">
            <ChosenColor v-if="swatch" />
            <slot v-else-if="isInView" name="chosen" />
            <p v-else class="text-quiet">
              Choose a colour in the view, on the measure below, or on the page.
            </p>
          </template>
          <slot v-else />
        </TabPanel>
      </TabPanels>
    </TabGroup>
  </aside>
</template>
