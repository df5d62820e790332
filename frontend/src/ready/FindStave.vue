<script setup lang="ts">
import { ref, watch } from 'vue'
import type { PaletteNote, PaletteVocabulary, PlacedNote } from '@/api/types'

/** The question: a small stave on which notes stand where a colour is wanted. */
const props = defineProps<{ vocabulary: PaletteVocabulary; placed: readonly PlacedNote[] }>()
const notes = defineModel<PaletteNote[]>({ required: true })
const stave = ref<HTMLElement>()
const chosen = ref(0)
/** Where notes stand before the server has said so, and the colour that it last said of each. */
const places = ref<
  { across: number; position: number; color?: Pick<PlacedNote, 'hex' | 'name'> | undefined }[]
>([])
let dragged: number | undefined

watch(
  () => props.placed,
  (placed) => {
    // It answers what was there before a note came or went; the next answer is on its way.
    if (placed.length !== notes.value.length) return
    places.value = placed.map((color, row) => {
      const { across, position } = (dragged !== undefined && places.value[row]) || color
      return { across: across ?? 0.5, position, color }
    })
  },
  { immediate: true },
)

// Notes may also be taken away all at once, from outside.
watch(
  () => notes.value.length,
  (count) => {
    places.value = places.value.slice(0, count)
  },
)

const clamp = (value: number) => Math.min(1, Math.max(0, value))
const wrap = (value: number) => ((value % 1) + 1) % 1

/** The list with other things in one place of it. */
const replaced = <T,>(list: readonly T[], row: number, ...things: T[]) => [
  ...list.slice(0, row),
  ...things,
  ...list.slice(row + 1),
]

function put(row: number, across: number, position: number) {
  const { color } = places.value[row] ?? {}
  const place = { across: wrap(across), position: clamp(position), color }
  places.value = replaced(places.value, row, place)
  const note = {
    hex: null,
    hue: props.vocabulary.first_hue + place.across * 360,
    position: place.position,
  }
  notes.value = replaced(notes.value, row, note)
  chosen.value = row
}

/** In the middle, for whoever has no pointer; the arrows move it from there. */
function add(across = 0.5, position = 0.5) {
  if (notes.value.length >= props.vocabulary.most_notes) return
  put(notes.value.length, across, position)
}

function remove(row: number) {
  places.value = replaced(places.value, row)
  notes.value = replaced(notes.value, row)
  chosen.value = Math.max(0, row - 1)
}

function at(event: PointerEvent) {
  const box = stave.value?.getBoundingClientRect()
  if (!box) return undefined
  return {
    across: clamp((event.clientX - box.left) / box.width),
    position: clamp(1 - (event.clientY - box.top) / box.height),
  }
}

function press(event: PointerEvent, row?: number) {
  const place = at(event)
  if (!place) return
  // The list itself is one behind until whoever has it has answered.
  const next = row ?? notes.value.length
  if (next >= props.vocabulary.most_notes) return
  if (row === undefined) add(place.across, place.position)
  dragged = next
  chosen.value = next
  stave.value?.setPointerCapture(event.pointerId)
}

function move(event: PointerEvent) {
  const place = at(event)
  if (dragged !== undefined && place) put(dragged, Math.min(place.across, 0.9999), place.position)
}

const KEYS: Readonly<Record<string, [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
}
function key(event: KeyboardEvent, row: number) {
  const place = places.value[row]
  if (event.key === 'Delete' || event.key === 'Backspace') {
    event.preventDefault()
    remove(row)
    return
  }
  const step = KEYS[event.key]
  if (!step || !place) return
  event.preventDefault()
  const [across, up] = step
  const far = event.shiftKey ? 5 : 1
  put(row, place.across + (across * far) / 72, place.position + up * far * 0.02)
}
</script>

<template>
  <div>
    <!-- The pointer's way; the notes themselves, and the button below, are the keyboard's. -->
    <div
      ref="stave"
      class="relative h-37 touch-none overflow-hidden border border-ink bg-plate select-none"
      :class="notes.length < vocabulary.most_notes && 'cursor-crosshair'"
      data-testid="find-stave"
      @pointerdown="press($event)"
      @pointermove="move"
      @pointerup="dragged = undefined"
      @pointercancel="dragged = undefined"
    >
      <span
        v-for="tick in 11"
        :key="tick"
        class="absolute top-0 h-1.5 border-l border-[#161616]"
        :style="{ left: `${(tick * 100) / 12}%` }"
      ></span>
      <span
        v-for="line in vocabulary.lines"
        :key="line"
        class="absolute inset-x-0 border-t border-[#8c8c8c]"
        :style="{ bottom: `${line * 100}%` }"
      ></span>
      <button
        v-for="(place, row) in places"
        :key="row"
        type="button"
        class="keeps-color absolute h-6 w-6 -translate-x-1/2 translate-y-1/2 cursor-grab rounded-full border-2 border-[#161616] outline-1 outline-offset-6 outline-[#161616] outline-dashed focus-visible:outline-2 focus-visible:outline-solid"
        :style="{
          left: `${place.across * 100}%`,
          bottom: `${place.position * 100}%`,
          backgroundColor: place.color?.hex ?? '#ffffff',
        }"
        :aria-label="`Note ${row + 1}: ${place.color?.name ?? 'a colour'}, ${place.color?.hex ?? ''}. Arrows move it, Delete takes it away.`"
        @pointerdown.stop="press($event, row)"
        @focus="chosen = row"
        @keydown="key($event, row)"
      ></button>
      <p
        v-if="!places.length"
        class="pointer-events-none absolute inset-x-0 bottom-1.5 text-center text-small text-[#595959]"
      >
        hue across, contrast up
      </p>
    </div>
    <div class="mt-1.5 flex gap-1.5">
      <button
        type="button"
        class="button min-h-6 flex-1 px-1.5 text-small"
        :disabled="notes.length >= vocabulary.most_notes"
        @click="add()"
      >
        Add a note
      </button>
      <button
        type="button"
        class="button min-h-6 flex-1 px-1.5 text-small"
        :disabled="!notes.length"
        @click="remove(Math.min(chosen, notes.length - 1))"
      >
        Remove it
      </button>
    </div>
  </div>
</template>
