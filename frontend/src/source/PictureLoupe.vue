<script setup lang="ts">
import { arrowOf } from '@/ui/arrows'
import { computed, ref, watch } from 'vue'
import { useLoupe } from './useLoupe'
import type { Place, Square } from './useLoupe'

const props = defineProps<{ sourceId: string; square: Square }>()
const emit = defineEmits<{ pick: [hex: string, name: string] }>()
const { loupe, look, close } = useLoupe()
const place = ref<Place>()
const area = ref<HTMLElement>()
/** Pixels of the magnifier, and their size on the screen. */
const SHOWN = 15
const CELL = 8

watch([place, () => props.square], () => {
  if (place.value) look(props.sourceId, place.value, props.square)
})

function follow(event: PointerEvent) {
  const box = area.value?.getBoundingClientRect()
  if (!box) return
  const inside = (value: number) => Math.min(1, Math.max(0, value))
  place.value = {
    x: inside((event.clientX - box.left) / box.width),
    y: inside((event.clientY - box.top) / box.height),
  }
}

/** A finger moves the magnifier and leaves it where it was lifted: what is there is added by a button. */
const isTouched = ref(false)
function press(event: PointerEvent) {
  isTouched.value = event.pointerType === 'touch'
  if (!isTouched.value) return
  area.value?.setPointerCapture(event.pointerId)
  follow(event)
}
function click() {
  if (!isTouched.value) add()
}
function stray() {
  if (!isTouched.value) leave()
}

function leave() {
  place.value = undefined
  close()
}

/** Arrows move by a pixel of the picture, with Shift by ten. */
function step(event: KeyboardEvent) {
  const arrow = arrowOf(event)
  if (event.key === 'Enter' || event.key === ' ') {
    event.preventDefault()
    add()
  } else if (event.key === 'Escape') leave()
  else if (arrow) {
    event.preventDefault()
    const width = loupe.value?.width ?? 100
    const height = loupe.value?.height ?? 100
    const far = event.shiftKey ? 10 : 1
    const from = place.value ?? { x: 0.5, y: 0.5 }
    const column = Math.floor(from.x * width) + arrow[0] * far
    const row = Math.floor(from.y * height) + arrow[1] * far
    place.value = {
      x: (Math.min(width - 1, Math.max(0, column)) + 0.5) / width,
      y: (Math.min(height - 1, Math.max(0, row)) + 0.5) / height,
    }
  }
}

function begin() {
  place.value ??= { x: 0.5, y: 0.5 }
}

function add() {
  if (loupe.value?.hex && loupe.value.name) emit('pick', loupe.value.hex, loupe.value.name)
}

/** Beside the pointer, on the side where there is room. */
const stand = computed(() => {
  const at = place.value ?? { x: 0.5, y: 0.5 }
  return {
    [at.x > 0.5 ? 'right' : 'left']: `calc(${(at.x > 0.5 ? 1 - at.x : at.x) * 100}% + 18px)`,
    [at.y > 0.5 ? 'bottom' : 'top']: `calc(${(at.y > 0.5 ? 1 - at.y : at.y) * 100}% + 18px)`,
  }
})
const frame = computed(() => ({
  start: ((SHOWN - props.square) / 2) * CELL,
  size: props.square * CELL,
}))
const spoken = computed(() =>
  loupe.value && place.value
    ? `${loupe.value.name ?? 'nothing'} ${loupe.value.hex ?? ''}, column ${loupe.value.x}, row ${loupe.value.y}`
    : '',
)
</script>

<template>
  <div
    ref="area"
    role="application"
    tabindex="0"
    aria-label="Magnifier over the picture: arrows move by a pixel, with Shift by ten, Enter adds the colour"
    class="absolute inset-0 cursor-crosshair touch-none"
    data-testid="loupe"
    @pointermove="follow"
    @pointerdown="press"
    @pointerleave="stray"
    @click="click"
    @keydown="step"
    @focus="begin"
    @blur="leave"
  >
    <div
      v-if="loupe && place"
      class="pointer-events-none absolute z-10 border border-ink bg-sheet text-ink"
      :style="stand"
    >
      <svg :width="SHOWN * CELL" :height="SHOWN * CELL" aria-hidden="true" class="block">
        <template v-for="(row, down) in loupe.pixels" :key="down">
          <rect
            v-for="(pixel, right) in row"
            :key="right"
            :x="right * CELL"
            :y="down * CELL"
            :width="CELL + 0.3"
            :height="CELL + 0.3"
            :class="!pixel && 'fill-surround'"
            :fill="pixel ?? undefined"
          />
        </template>
        <rect
          :x="frame.start - 1"
          :y="frame.start - 1"
          :width="frame.size + 2"
          :height="frame.size + 2"
          fill="none"
          stroke="#ffffff"
          stroke-width="3"
        />
        <rect
          :x="frame.start - 1"
          :y="frame.start - 1"
          :width="frame.size + 2"
          :height="frame.size + 2"
          fill="none"
          stroke="#000000"
          stroke-width="1.5"
        />
      </svg>
      <p class="border-t border-ink px-1.5 py-0.5 whitespace-nowrap">
        <span class="value">{{ loupe.hex ?? 'nothing' }}</span>
        <span class="ml-1.5 text-quiet">{{ square }} px</span>
      </p>
      <button
        v-if="isTouched && loupe.hex"
        type="button"
        class="button-solid pointer-events-auto w-full"
        tabindex="-1"
        @pointerdown.prevent.stop
        @click.stop="add"
      >
        Add {{ loupe.hex }}
      </button>
    </div>
    <p class="sr-only" role="status">{{ spoken }}</p>
  </div>
</template>
