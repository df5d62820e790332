<script setup lang="ts">
import { computed, ref, useTemplateRef } from 'vue'
import { MOST_ZOOM } from '@/api/constants'
import type { PictureView } from '@/api/types'
import { arrowOf } from '@/ui/arrows'

/** The whole picture with the point that stays in view, which is dragged or moved by arrows, and its crop. */
const props = defineProps<{ source: string; view: PictureView }>()
const emit = defineEmits<{ preview: [view: PictureView]; set: [view: PictureView] }>()

const area = useTemplateRef<HTMLElement>('area')
/** While it is dragged. */
const moved = ref<PictureView>()
const now = computed(() => moved.value ?? props.view)
const percent = (value: number) => Math.round(value * 100).toString()
const within = (value: number) => Math.min(1, Math.max(0, Math.round(value * 1000) / 1000))

function follow(event: PointerEvent) {
  const box = area.value?.getBoundingClientRect()
  if (!box) return
  const [x, y] = [(event.clientX - box.left) / box.width, (event.clientY - box.top) / box.height]
  moved.value = { ...props.view, x: within(x), y: within(y) }
  emit('preview', moved.value)
}
function press(event: PointerEvent) {
  area.value?.setPointerCapture(event.pointerId)
  follow(event)
}
function move(event: PointerEvent) {
  if (moved.value) follow(event)
}
function release() {
  if (moved.value) emit('set', moved.value)
  moved.value = undefined
}
/** Given up, as by a second finger or a call. */
function leave() {
  if (moved.value) emit('preview', props.view)
  moved.value = undefined
}
function step(event: KeyboardEvent) {
  const arrow = arrowOf(event)
  if (!arrow) return
  event.preventDefault()
  const by = event.shiftKey ? 0.1 : 0.01
  const { x, y } = props.view
  emit('set', { ...props.view, x: within(x + arrow[0] * by), y: within(y + arrow[1] * by) })
}
function enlarge(event: Event, isDone: boolean) {
  if (!(event.target instanceof HTMLInputElement)) return
  const view = { ...props.view, zoom: event.target.valueAsNumber }
  if (isDone) emit('set', view)
  else emit('preview', view)
}
</script>

<template>
  <div>
    <h3 class="mt-3 text-quiet">What stays in view</h3>
    <div
      ref="area"
      class="keeps-color relative mt-1 inline-block max-w-full cursor-crosshair touch-none border border-hair leading-none select-none"
      data-testid="picture-view"
      @pointerdown="press"
      @pointermove="move"
      @pointerup="release"
      @pointercancel="leave"
    >
      <img
        :src="`/api/sources/${source}/preview`"
        alt=""
        draggable="false"
        class="block max-h-40 max-w-full"
      />
      <button
        type="button"
        class="view-point absolute -mt-3 -ml-3 h-6 w-6 rounded-full"
        :style="{ left: `${percent(now.x)}%`, top: `${percent(now.y)}%` }"
        :aria-label="`Point that stays in view: ${percent(now.x)} per cent from the left, ${percent(now.y)} from the top`"
        @keydown="step"
      ></button>
    </div>
    <label class="mt-2 flex items-center gap-2"
      ><span class="text-quiet">Closer</span>
      <input
        type="range"
        class="slider min-w-0 flex-1"
        min="1"
        :max="MOST_ZOOM"
        step="0.05"
        :value="now.zoom"
        :aria-valuetext="`${percent(now.zoom)} per cent`"
        @input="enlarge($event, false)"
        @change="enlarge($event, true)"
      />
      <span class="value w-12 text-right">{{ percent(now.zoom) }} %</span>
    </label>
  </div>
</template>

<style scoped>
/* Seen on any picture: white within black. */
.view-point {
  background: rgb(0 0 0 / 30%);
  box-shadow:
    inset 0 0 0 2px white,
    0 0 0 2px black;
}
</style>
