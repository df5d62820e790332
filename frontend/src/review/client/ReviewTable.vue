<script setup lang="ts">
import { formatDay } from '@/ui/format'
import { useMediaQuery } from '@vueuse/core'
import { computed, nextTick, reactive, ref, useTemplateRef } from 'vue'
import NoticeBar from '@/ui/NoticeBar.vue'
import RadioBar from '@/ui/RadioBar.vue'
import { useCopy } from '@/ui/useCopy'
import NameDialog from './NameDialog.vue'
import SaidPanel from './SaidPanel.vue'
import SendBack from './SendBack.vue'
import TakeColumn from './TakeColumn.vue'
import type { Talk } from './talk'
import { aboutFrom, useAbout } from './useAbout'
import type { OpenReview } from './useReview'
import { useThreads } from './useThreads'
import VerdictBar from './VerdictBar.vue'

/** What a client is shown, what was said of it, and what they choose. */
const props = defineProps<{ review: OpenReview; talk: Talk }>()
const shown = computed(() => {
  const { value } = props.review.shown
  if (!value) throw new Error('Nothing is shown yet.')
  return value
})
const content = computed(() => shown.value.content)
const takes = computed(() => content.value.takes)
document.title = `Colours for ${content.value.brand}`

const isNarrow = useMediaQuery('(max-width: 899px)')

const COLORS = 'colors'
const views = computed(() => [
  ...content.value.pages.map(({ id, name }) => ({ value: id, label: name })),
  { value: COLORS, label: 'Colours' },
])
const view = ref(views.value[0]?.value ?? COLORS)
const WIDTHS = [
  { value: 'wide', label: 'Wide' },
  { value: 'phone', label: 'Phone' },
] as const
const widths = computed(() => {
  const there = WIDTHS.filter(({ value }) => content.value.widths.includes(value))
  return there.length > 1 ? [{ value: 'both', label: 'Both' } as const, ...there] : there
})
const wanted = ref<'both' | 'wide' | 'phone'>(
  isNarrow.value && content.value.widths.includes('phone')
    ? 'phone'
    : (widths.value[0]?.value ?? 'wide'),
)
/** What is said of a page is said of the wide one where both are seen. */
const width = computed(() => (wanted.value === 'both' ? 'wide' : wanted.value))
const SCHEMES = [
  { value: 'day', label: 'Day' },
  { value: 'night', label: 'Night' },
] as const
const scheme = ref<'day' | 'night'>('day')
const hasNight = computed(() => takes.value.some((one) => one.drawn.night))

/** All side by side, or one after another. */
const ALL = 'all'
const which = ref<string>(isNarrow.value && takes.value.length > 1 ? '0' : ALL)
/** A long name stands whole over its page; here it would hide the others. */
const LONGEST_NAME = 18
const shortened = (name: string) =>
  name.length > LONGEST_NAME ? `${name.slice(0, LONGEST_NAME - 1).trimEnd()}…` : name
const whiches = computed(() => [
  ...(isNarrow.value ? [] : [{ value: ALL, label: 'Side by side' }]),
  ...takes.value.map((one, row) => ({ value: row.toString(), label: shortened(one.name) })),
])
const places = computed(() => {
  const all = takes.value.map((_, row) => row)
  if (takes.value.length === 1) return all
  if (which.value !== ALL) return [Number(which.value)]
  return isNarrow.value ? [0] : all
})

const threads = useThreads(
  () => props.review.said.value,
  () => takes.value,
)
const chosenThread = ref<string>()
const looked = {
  content: () => content.value,
  places: () => places.value,
  view: () => view.value,
  scheme: () => scheme.value,
  width: () => width.value,
}
const { about, abouts, seen, chooseAbout, aboutOf } = useAbout(looked)
const send = (value: string, text: string) =>
  props.review.say({ name: props.review.name.value, about: aboutFrom(value, looked), text })
const panel = useTemplateRef<InstanceType<typeof SaidPanel>>('panel')
const columns = useTemplateRef<InstanceType<typeof TakeColumn>[]>('columns')

async function pick(value: string) {
  chosenThread.value = undefined
  chooseAbout(value)
  await nextTick()
  await panel.value?.write()
}
/** A thread is gone to: its page, its take, its part. */
async function show(id: string) {
  chosenThread.value = id
  const found = threads.value.find((one) => one.id === id)?.first.about
  if (!found) return
  if (found.kind === 'color') view.value = COLORS
  else if (found.page && views.value.some((one) => one.value === found.page))
    view.value = found.page
  if (found.kind === 'part') scheme.value = hasNight.value ? (found.scheme ?? 'day') : 'day'
  if (found.place !== null && found.place !== undefined && !places.value.includes(found.place))
    which.value = found.place.toString()
  await nextTick()
  requestAnimationFrame(() => {
    for (const column of columns.value ?? []) if (found.part) column.reveal(found.part)
  })
}
function showInPanel(id: string) {
  chosenThread.value = id
  panel.value?.reveal(id)
}

const place = computed(() => {
  const { approval } = props.review.said.value
  if (approval) return approval.place
  if (takes.value.length === 1) return 0
  return props.review.choice.value?.place ?? undefined
})
const toKeep = computed(() => takes.value[place.value ?? places.value[0] ?? 0])
const sheet = computed(() => toKeep.value && props.talk.fileOf(toKeep.value.sheet))
const icons = computed(() => {
  const file = toKeep.value?.icons
  return file ? props.talk.fileOf(file) : undefined
})
const mayChoose = computed(
  () => shown.value.mayChoose && takes.value.length > 1 && !props.review.said.value.approval,
)
const isNaming = ref<number>()
async function choose(row: number) {
  if (!props.review.name.value) {
    isNaming.value = row
    return
  }
  await props.review.choose(row)
}
async function chooseAs(name: string) {
  const row = isNaming.value
  isNaming.value = undefined
  props.review.rename(name)
  if (row !== undefined) await props.review.choose(row)
}

/** How far down each page one has looked: whoever goes to another take sees the same of it. */
const lookedAt = reactive<Record<string, number>>({})
function follow(from: number, share: number) {
  lookedAt[view.value] = share
  columns.value?.forEach((column, row) => {
    if (row !== from) column.follow(share)
  })
}
const isSending = ref(false)
const { announcement } = useCopy()
/** What is said where the designer has said nothing: only what may be done here. */
const invitation = computed(() => {
  if (shown.value.mayComment) return 'Have a look, and say what you think. Nothing here can break.'
  return 'Have a look. Under Colours, press a value to copy it.'
})
const logo = computed(() => takes.value.find((one) => one.logo)?.logo)
const ends = computed(
  () =>
    shown.value.endsAt &&
    formatDay(new Date(shown.value.endsAt).getTime() - 86_400_000, { isWholeDay: true }),
)
</script>

<template>
  <div class="grid min-h-dvh grid-cols-[minmax(0,1fr)] grid-rows-[auto_1fr_auto] min-[900px]:h-dvh">
    <header
      class="flex flex-wrap items-center gap-x-5 gap-y-2 border-b border-ink bg-sheet px-4 py-2.5"
    >
      <img
        v-if="logo"
        :src="talk.fileOf(logo)"
        alt=""
        class="keeps-color h-10 max-w-24 flex-none object-contain"
      />
      <div class="min-w-0 flex-1 basis-72">
        <h1 class="text-title leading-tight [overflow-wrap:anywhere]" dir="auto">
          Colours for {{ content.brand }}
        </h1>
        <p class="whitespace-pre-line text-quiet [overflow-wrap:anywhere]" dir="auto">
          {{ content.greeting || invitation }}<template v-if="ends"> Until {{ ends }}.</template>
        </p>
      </div>
      <div class="flex min-w-0 flex-wrap gap-x-5 gap-y-2">
        <RadioBar v-if="takes.length > 1" v-model="which" label="Suggestions" :options="whiches" />
        <RadioBar v-if="views.length > 1" v-model="view" label="Pages" :options="views" />
        <RadioBar
          v-if="widths.length > 1 && view !== COLORS && !isNarrow"
          v-model="wanted"
          label="Width"
          :options="widths"
        />
        <RadioBar v-if="hasNight" v-model="scheme" label="Day or night" :options="SCHEMES" />
      </div>
    </header>
    <div
      class="grid min-h-0 gap-3.5 p-3"
      :class="shown.mayComment && 'min-[900px]:grid-cols-[minmax(0,1fr)_300px]'"
    >
      <main
        class="flex min-h-0 min-w-0 gap-3.5"
        :class="isNarrow && 'flex-col'"
        aria-label="Suggestions"
      >
        <TakeColumn
          v-for="(row, at) in places"
          :key="row"
          ref="columns"
          :take="takes[row]!"
          :place="row"
          :view="view"
          :scheme="scheme"
          :width="width"
          :has-phone="wanted === 'both' && !isNarrow"
          :share="lookedAt[view] ?? 0"
          :is-narrow="isNarrow"
          :talk="talk"
          :threads="threads"
          :picked="aboutOf(row)"
          :is-chosen="place === row && takes.length > 1"
          :may-choose="mayChoose"
          :may-comment="shown.mayComment"
          :is-alone="takes.length === 1"
          @choose="choose(row)"
          @pick="pick"
          @mark="showInPanel"
          @parts="seen(row, $event)"
          @scroll="follow(at, $event)"
        />
      </main>
      <SaidPanel
        v-if="shown.mayComment"
        ref="panel"
        v-model:about="about"
        v-model:chosen="chosenThread"
        :review="review"
        :threads="threads"
        :abouts="abouts"
        :is-narrow="isNarrow"
        :is-online="talk.isOnline"
        :longest="shown.mostCharacters"
        :send="send"
        @show="show"
      />
    </div>
    <VerdictBar
      :review="review"
      :place="place"
      :sheet="sheet"
      :icons="icons"
      :brand="shown.content.brand"
      :is-online="talk.isOnline"
      class="max-[899px]:sticky max-[899px]:bottom-0"
      @send="isSending = true"
    />
    <NoticeBar
      v-if="review.problem.value"
      class="fixed inset-x-4 bottom-24 z-30 mx-auto max-w-180"
      :text="review.problem.value"
      @dismiss="review.dismiss()"
    />
    <NameDialog :shown="isNaming !== undefined" @close="isNaming = undefined" @name="chooseAs" />
    <SendBack
      v-if="!talk.isOnline"
      v-model="isSending"
      :talk="talk"
      :name="review.name.value"
      :brand="content.brand"
      @named="review.rename"
    />
    <p class="sr-only" role="status">{{ review.news.value }} {{ announcement }}</p>
  </div>
</template>
