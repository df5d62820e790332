<script setup lang="ts">
import { computed, onBeforeUnmount, shallowRef, watch, watchPostEffect } from 'vue'
import type { ProofContext } from './context'
import { giveFonts, letterFontsOf } from './pageFonts'
import { drawMarks } from './marks'
import type { Mark } from './marks'
import { elementOf, figuresOf, readPart } from './parts'
import { rootVariables } from './rootVariables'
import SamplePage from './SamplePage.vue'
import { pressed } from '@/ui/keys'
import { inOneLine, typeOver } from './typeOver'
import { useFrameSight } from './useFrameSight'
import proofStyle from './proof.css?url'

/** A sample page in a frame of its own, so that neither its style nor ours leaks. */
const props = withDefaults(
  defineProps<{
    context: ProofContext
    title: string
    /** The width of the page's own window, in its pixels. */
    width: number
    /** How many of our pixels one of the page's takes. */
    scale: number
    height: number
    chosen?: string | undefined
    outlined?: boolean
    picks?: boolean
    /** How many letters a text may be typed over with; none can be typed where it is 0. */
    mostTyped?: number
    /** Numbers at parts: what a client said there. */
    marks?: readonly Mark[]
  }>(),
  { chosen: undefined, outlined: false, picks: false, mostTyped: 0, marks: () => [] },
)
const emit = defineEmits<{
  pick: [part: string, section: string | undefined, paint: string | undefined]
  hover: [part: string | undefined]
  drawn: [page: Document]
  scroll: [share: number]
  mark: [id: string]
  say: [page: string, part: string, text: string]
}>()

/** An address of its own would be in the quirks of old pages, in which sizes are measured otherwise. */
const SHEET = '<!doctype html><html lang="en"><head></head><body></body></html>'
const root = shallowRef<HTMLElement>()
useFrameSight(root)
let page: Document | undefined

/** The frame has a document once it is in ours: it gets the pages' style, and a place to draw in. */
function prepare(event: Event) {
  page = (event.currentTarget as HTMLIFrameElement).contentDocument ?? undefined
  if (!page) return
  const style = page.createElement('link')
  style.rel = 'stylesheet'
  style.href = proofStyle
  style.onload = () => {
    announce()
  }
  page.head.replaceChildren(style)
  page.title = props.title
  root.value = page.body
  page.addEventListener('click', onClick)
  page.addEventListener('dblclick', onDoubleClick)
  page.addEventListener('change', onTyped)
  page.addEventListener('keydown', pressed)
  page.addEventListener('mouseover', onHover)
  page.defaultView?.addEventListener('scroll', onScroll, { passive: true })
}

const variables = computed(() => rootVariables(props.context))
watch(
  [variables, root],
  ([next, to], [before, had]) => {
    // Each that is set makes a browser look at the whole page again.
    for (const [name, value] of Object.entries(next))
      if (to !== had || before[name] !== value) to?.style.setProperty(name, value)
  },
  { flush: 'post' },
)
watchPostEffect(() => {
  const { language, direction } = props.context.figures.spoken
  const whole = root.value?.ownerDocument.documentElement
  if (whole) [whole.lang, whole.dir] = [language, direction]
})
const fonts = computed(() => [...letterFontsOf(props.context.figures), ...props.context.fonts])
watchPostEffect(() => {
  if (root.value) giveFonts(root.value.ownerDocument, fonts.value)
})
watchPostEffect(() => root.value?.classList.toggle('picks', props.picks))

/** The marks of what is chosen and what falls short are put on after every drawing. */
watch(
  [() => props.context, () => props.chosen, () => props.outlined, () => props.marks, root],
  () => {
    announce()
  },
  { flush: 'post' },
)
function announce() {
  if (!page) return
  for (const element of page.querySelectorAll('[data-part]')) {
    const use = props.outlined ? figuresOf(readPart(element), props.context.figures) : undefined
    element.classList.toggle('is-short', use !== undefined && !use.passes)
    element.classList.remove('is-chosen')
  }
  if (props.chosen) elementOf(page, props.chosen)?.classList.add('is-chosen')
  drawMarks(page, props.marks, props.scale, (id) => {
    emit('mark', id)
  })
  emit('drawn', page)
}

function onClick(event: MouseEvent) {
  event.preventDefault()
  if (!props.picks || !isElement(event.target)) return
  const part = event.target.closest<HTMLElement>('[data-part]')
  const section = event.target.closest<HTMLElement>('[data-section]')
  const painted = event.target.closest<SVGElement>('[data-paint]')
  emit('pick', part?.dataset.part ?? '', section?.dataset.section, painted?.dataset.paint)
}
function onDoubleClick({ target }: MouseEvent) {
  const text = isElement(target) && target.closest<HTMLElement>('[data-says]')
  if (text && props.mostTyped && !isField(text)) type(text)
}
/** A field is typed into as anywhere. What it said as a hint it says as a hint again. */
function onTyped({ target }: Event) {
  if (!isElement(target) || !isField(target)) return
  const { says, part } = target.dataset
  const typed = inOneLine(target.value)
  if (target.placeholder) target.value = ''
  if (says && part && typed && props.mostTyped)
    emit('say', says, part, typed.slice(0, props.mostTyped))
}
function type(text: HTMLElement) {
  const { says, part } = text.dataset
  const before = text.textContent.trim()
  typeOver(text, props.mostTyped, (typed) => {
    if (says && part && typed !== undefined && typed !== before) emit('say', says, part, typed)
  })
}
function onHover(event: MouseEvent) {
  const part = isElement(event.target) && event.target.closest<HTMLElement>('[data-part]')
  emit('hover', part ? part.dataset.part : undefined)
}
const isField = (element: Element): element is HTMLInputElement => element.localName === 'input'
/** An element of another window is no instance of this one's Element. */
const isElement = (target: EventTarget | null): target is Element =>
  target !== null && 'closest' in target

let isFollowing = false
function onScroll() {
  const height = scrollable()
  if (!isFollowing && height > 0) emit('scroll', (page?.defaultView?.scrollY ?? 0) / height)
  isFollowing = false
}
const scrollable = () =>
  (page?.documentElement.scrollHeight ?? 0) - (page?.defaultView?.innerHeight ?? 0)

/** Scroll to a share of the whole, without telling of it. */
function follow(share: number) {
  const top = Math.round(share * scrollable())
  if (top === page?.defaultView?.scrollY) return
  isFollowing = true
  page?.defaultView?.scrollTo({ top })
}
function reveal(name: string) {
  const element = page && elementOf(page, name)
  element?.scrollIntoView({ block: 'nearest' })
}

onBeforeUnmount(() => {
  root.value = undefined
})
defineExpose({ follow, reveal, body: root })
</script>

<template>
  <div class="overflow-hidden" :style="{ width: `${width * scale}px`, height: `${height}px` }">
    <iframe
      :title="title"
      class="block origin-top-left border-0 bg-plate"
      :style="{ width: `${width}px`, height: `${height / scale}px`, transform: `scale(${scale})` }"
      :srcdoc="SHEET"
      @load="prepare"
    ></iframe>
    <Teleport v-if="root" :to="root">
      <SamplePage :context="context" />
    </Teleport>
  </div>
</template>
