<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref, useTemplateRef, watch } from 'vue'
import type { ShownTake } from '@/api/types'
import ColorList from './ColorList.vue'
import { partNames } from '@/proof/marks'
import type { Mark } from '@/proof/marks'
import PageFrame from './PageFrame.vue'
import type { Talk } from './talk'
import { colorKey, partKey } from './useAbout'
import type { Thread } from './useThreads'

/** One of the suggestions: a sample page in its colours, or the colours themselves. */
const props = defineProps<{
  take: ShownTake
  place: number
  view: string
  scheme: 'day' | 'night'
  width: 'wide' | 'phone'
  /** Whether the page on a phone stands beside the wide one. */
  hasPhone: boolean
  /** How far down the page one has looked, 0 to 1. */
  share: number
  isNarrow: boolean
  talk: Talk
  threads: readonly Thread[]
  picked: string | undefined
  isChosen: boolean
  mayChoose: boolean
  mayComment: boolean
  isAlone: boolean
}>()
const emit = defineEmits<{
  choose: []
  pick: [about: string]
  mark: [id: string]
  parts: [names: readonly string[]]
  scroll: [share: number]
}>()

const box = useTemplateRef<HTMLElement>('box')
const { width: across, height } = useElementSize(box)
/**
 * Of the page’s own window. A wide page is a true one, scaled whole, however many stand side by side: one laid
 * out for a tablet shows other type and another order. On a narrow screen it is no wider than can be read.
 */
const PHONE = 390
const WIDE = 1280
const LEAST_WIDE = 720
const READABLE = 0.62
const pixels = computed(() => {
  if (props.width === 'phone') return PHONE
  if (!props.isNarrow) return WIDE
  return Math.round(Math.min(WIDE, Math.max(LEAST_WIDE, across.value / READABLE)))
})
/** Of the phone beside a wide page: somewhat larger than true, as it is held nearer. */
const BESIDE = 0.27
const GAP = 12
const phone = computed(() => (props.hasPhone ? Math.round(across.value * BESIDE) : 0))
const room = computed(() => across.value - (phone.value ? phone.value + GAP : 0))
const scale = computed(() => Math.min(1, room.value / pixels.value))

const marks = computed<readonly Mark[]>(() =>
  props.threads
    .filter(({ first: { about } }) => {
      const isHere = about.place === props.place && about.page === props.view
      return about.kind === 'part' && isHere
    })
    .map(({ id, number, first, about }) => ({
      id,
      number,
      part: first.about.part ?? '',
      label: `Remark ${number.toString()}, ${about}`,
    })),
)
const colors = computed(() => props.take.colors[props.scheme] ?? props.take.colors.day ?? [])
const beside = useTemplateRef<InstanceType<typeof PageFrame>>('beside')
const frame = useTemplateRef<InstanceType<typeof PageFrame>>('frame')
const head = ref(props.talk.drawingHead())
/** A page that is drawn anew, or is another take’s, starts where one was; until it is scrolled by hand. */
const isScrolled = ref(false)
watch(
  () => [props.view, props.width, props.scheme],
  () => (isScrolled.value = false),
)
function drawn(page: Document) {
  emit('parts', partNames(page))
  if (!isScrolled.value) frame.value?.follow(props.share)
}
function scrolled(share: number) {
  isScrolled.value = true
  beside.value?.follow(share)
  emit('scroll', share)
}
const nightMissing = computed(() => props.scheme === 'night' && !props.take.drawn.night)
defineExpose({
  follow: (share: number) => {
    frame.value?.follow(share)
    beside.value?.follow(share)
  },
  reveal: (part: string) => frame.value?.reveal(part),
})
</script>

<template>
  <section
    class="flex min-w-0 flex-1 flex-col bg-sheet"
    :class="isChosen ? 'border-3 border-ink' : 'border border-ink'"
    :aria-label="take.name"
  >
    <div v-if="!isAlone" class="flex min-h-12 items-center gap-3 border-b border-hair px-3 py-1.5">
      <h2 class="min-w-0 flex-1 truncate text-[16px]" dir="auto" :title="take.name">
        {{ take.name }}
      </h2>
      <button
        v-if="mayChoose"
        type="button"
        :class="isChosen ? 'button-solid' : 'button'"
        :aria-pressed="isChosen"
        :aria-label="`${isChosen ? 'Your choice' : 'Choose this one'}: ${take.name}`"
        @click="emit('choose')"
      >
        {{ isChosen ? 'Your choice' : 'Choose this one' }}
      </button>
      <span v-else-if="isChosen" class="font-semibold">Chosen</span>
    </div>
    <h2 v-else class="sr-only">{{ take.name }}</h2>
    <p v-if="nightMissing" class="border-b border-hair px-3 py-1.5 text-quiet">
      This one looks the same by night.
    </p>
    <div
      ref="box"
      class="min-h-0 flex-1"
      :class="[
        view === 'colors' ? 'overflow-y-auto' : 'flex justify-center bg-surround',
        isNarrow && view !== 'colors' && 'min-h-60',
      ]"
      :tabindex="view === 'colors' && !isNarrow ? 0 : undefined"
      :role="view === 'colors' && !isNarrow ? 'region' : undefined"
      :aria-label="view === 'colors' && !isNarrow ? `Colours of ${take.name}` : undefined"
    >
      <ColorList
        v-if="view === 'colors'"
        :colors="colors"
        :picks="mayComment"
        :chosen="picked"
        @pick="emit('pick', colorKey(place, $event.hex))"
      />
      <PageFrame
        v-else-if="across"
        ref="frame"
        :take="take"
        :page="view"
        :scheme="scheme"
        :title="`A page in the colours of ${take.name}`"
        :width="pixels"
        :scale="scale"
        :height="isNarrow ? undefined : height"
        :head="head"
        :file-of="talk.fileOf"
        :marks="marks"
        :chosen="picked"
        :picks="mayComment"
        @pick="emit('pick', partKey(place, $event))"
        @mark="emit('mark', $event)"
        @drawn="drawn"
        @scroll="scrolled"
      />
      <PageFrame
        v-if="phone && view !== 'colors'"
        ref="beside"
        class="ml-3 flex-none"
        :take="take"
        :page="view"
        :scheme="scheme"
        :title="`The page of ${take.name} on a phone`"
        :width="PHONE"
        :scale="phone / PHONE"
        :height="height"
        :head="head"
        :file-of="talk.fileOf"
        :marks="[]"
        :chosen="picked"
        :picks="mayComment"
        @pick="emit('pick', partKey(place, $event))"
        @drawn="beside?.follow(share)"
      />
    </div>
  </section>
</template>
