<script setup lang="ts">
import { onBeforeUnmount, ref, watch } from 'vue'
import type { ShownTake } from '@/api/types'
import { keptFontsOf } from '@/proof/pageFonts'
import type { Drawing, Drawn } from '@/review/drawing/drawn'
import { drawMarks, elementAt, nameOfPart, touchedPart } from '@/proof/marks'
import type { Mark } from '@/proof/marks'

/** A sample page of a take, drawn by what was kept with the review. A touch says which part is meant. */
const props = defineProps<{
  take: ShownTake
  page: string
  scheme: 'day' | 'night'
  title: string
  width: number
  scale: number
  /** Of the window in which the page scrolls; none where the page is as tall as it is. */
  height: number | undefined
  head: string
  fileOf: (digest: string) => string
  marks: readonly Mark[]
  chosen: string | undefined
  picks: boolean
}>()
const emit = defineEmits<{
  pick: [part: string]
  mark: [id: string]
  drawn: [page: Document]
  scroll: [share: number]
}>()

const sheet = `<!doctype html><html lang="en"><head>${props.head}</head><body></body></html>`
const tall = ref(600)
let drawnIn: Document | undefined
let drawing: Drawing | undefined
let observer: ResizeObserver | undefined

function prepare(event: Event) {
  const frame = event.currentTarget as HTMLIFrameElement
  drawnIn = frame.contentDocument ?? undefined
  drawing = frame.contentWindow?.tonadaPages
  if (!drawnIn || !drawing) return
  drawnIn.title = props.title
  drawnIn.addEventListener('click', onClick, true)
  drawnIn.addEventListener('mouseover', onHover)
  drawnIn.defaultView?.addEventListener('scroll', onScroll, { passive: true })
  draw()
  observer?.disconnect()
  observer = new ResizeObserver(settle)
  observer.observe(drawnIn.body)
  void drawnIn.fonts.ready.then(settle)
}

function draw() {
  const { take, scheme } = props
  const drawn = (take.drawn[scheme] ?? take.drawn.day) as Omit<Drawn, 'page'> | undefined
  if (!drawn || !drawing) return
  drawing.draw({
    ...drawn,
    page: props.page,
    logo: take.logo ? props.fileOf(take.logo) : undefined,
    picture: take.picture ? props.fileOf(take.picture) : undefined,
    pictures: Object.fromEntries(
      Object.entries(take.pictures ?? {}).map(([source, digest]) => [source, props.fileOf(digest)]),
    ),
    letters: take.letters.map(({ family, weight, file }) => ({
      family,
      weight,
      source: props.fileOf(file),
    })),
    fonts: keptFontsOf(take, props.fileOf),
  })
  if (props.picks && drawnIn) drawnIn.body.style.cursor = 'pointer'
}

/** After every drawing: how tall the page is, and where its parts lie. */
function settle() {
  if (!drawnIn) return
  tall.value = drawnIn.body.scrollHeight
  drawMarks(drawnIn, props.marks, props.scale, (id) => {
    emit('mark', id)
  })
  outline()
  emit('drawn', drawnIn)
}
watch(() => [props.take, props.page, props.scheme], draw, { flush: 'post' })
watch(
  () => [props.take, props.page, props.scheme, props.marks, props.scale, props.chosen],
  () => requestAnimationFrame(settle),
  { flush: 'post' },
)

function onClick(event: MouseEvent) {
  const part = touchedPart(event.target)
  if (part && props.picks) emit('pick', nameOfPart(part))
}

let pointed: HTMLElement | undefined
function onHover(event: MouseEvent) {
  if (!props.picks) return
  pointed?.style.removeProperty('outline')
  pointed = touchedPart(event.target)
  if (pointed) pointed.style.outline = '2px dashed currentColor'
  outline()
}
let outlined: HTMLElement | undefined
function outline() {
  outlined?.style.removeProperty('outline')
  outlined = (props.chosen && drawnIn && elementAt(drawnIn, props.chosen)) || undefined
  if (outlined) outlined.style.outline = '3px solid currentColor'
}

let follows = false
function onScroll() {
  if (!follows && room() > 0) emit('scroll', (drawnIn?.defaultView?.scrollY ?? 0) / room())
  follows = false
}
const room = () =>
  (drawnIn?.documentElement.scrollHeight ?? 0) - (drawnIn?.defaultView?.innerHeight ?? 0)

/** Scroll to a share of the whole, without telling of it. */
function follow(share: number) {
  const top = Math.round(share * room())
  if (top === drawnIn?.defaultView?.scrollY) return
  follows = true
  drawnIn?.defaultView?.scrollTo({ top })
}
function reveal(part: string) {
  if (drawnIn) elementAt(drawnIn, part)?.scrollIntoView({ block: 'center' })
}
onBeforeUnmount(() => {
  observer?.disconnect()
})
defineExpose({ follow, reveal })
</script>

<template>
  <div
    class="overflow-hidden"
    :style="{ width: `${width * scale}px`, height: `${height ?? tall * scale}px` }"
  >
    <iframe
      :title="title"
      class="block origin-top-left border-0 bg-plate"
      :style="{
        width: `${width}px`,
        height: `${height ? height / scale : tall}px`,
        transform: `scale(${scale})`,
      }"
      :srcdoc="sheet"
      @load="prepare"
    ></iframe>
  </div>
</template>
