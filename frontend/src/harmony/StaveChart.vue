<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import HueRuler from './HueRuler.vue'
import StaveField from './StaveField.vue'
import StaveNote from './StaveNote.vue'
import StaveTone from './StaveTone.vue'
import { fieldOf, labelWidth, placeNotes, xOf, yOf } from './layout'
import { useNoteKeys } from './useNoteKeys'
import { useStaveDrag } from './useStaveDrag'
import type { Evaluation, Flag, Swatch, TakeChange, TakeDocument } from '@/api/types'
import { formatFixed, formatRatio } from '@/ui/format'

const props = defineProps<{
  document: TakeDocument
  evaluation: Evaluation
  greys: readonly string[]
  selected: string | undefined
}>()
const emit = defineEmits<{
  select: [id: string]
  show: [change: TakeChange]
  keep: []
  drop: []
  hold: [id: string]
  remove: [id: string]
}>()

const chart = ref<HTMLElement>()
const { width, height } = useElementSize(chart)
const field = computed(() => fieldOf({ width: width.value, height: height.value }))
const stave = computed(() => props.evaluation.stave)

const drag = useStaveDrag(chart, field, props, {
  show: (change) => {
    emit('show', change)
  },
  keep: () => {
    emit('keep')
  },
  drop: () => {
    emit('drop')
  },
})
const keys = useNoteKeys(props, {
  show: (change) => {
    emit('show', change)
  },
  keep: () => {
    emit('keep')
  },
  hold: (id) => {
    emit('hold', id)
  },
  remove: (id) => {
    emit('remove', id)
  },
})
/** While the anchor is dragged the axis stays where it is; it glides to the middle afterwards. */
const middleHue = computed(() => drag.hue.value ?? stave.value.hue)

const spots = computed(() => {
  const swatches = new Map(props.document.swatches.map((swatch) => [swatch.id, swatch]))
  const spots = props.evaluation.swatches.flatMap((figures) => {
    const swatch = swatches.get(figures.id)
    if (!swatch) return []
    const isNeutral = figures.is_neutral
    const held = drag.at.value?.id === figures.id ? drag.at.value : undefined
    const name = figures.role_names || swatch.name
    return [
      {
        id: figures.id,
        figures,
        swatch,
        name: name.length > 26 ? `${name.slice(0, 25)}…` : name,
        x: isNeutral
          ? field.value.lane.left + field.value.lane.width / 2
          : (held?.x ?? xOf(figures.hue, middleHue.value, field.value)),
        y: held?.y ?? yOf(figures.position, field.value),
        width: labelWidth(Math.min(name.length, 26)) + (swatch.held ? 34 : 0),
        inLane: isNeutral,
      },
    ]
  })
  return spots
})

/** Steps in use: they follow their swatch, and are moved in Roles. */
const tones = computed(() =>
  props.evaluation.measure
    .filter((cell) => cell.step !== null)
    .map((cell) => {
      const name = cell.role_names
      return {
        id: cell.key,
        cell,
        name: name.length > 26 ? `${name.slice(0, 25)}…` : name,
        x: cell.is_neutral
          ? field.value.lane.left + field.value.lane.width / 2
          : xOf(cell.hue, middleHue.value, field.value),
        y: yOf(cell.position, field.value),
        width: labelWidth(Math.min(name.length, 26)),
        inLane: cell.is_neutral,
      }
    }),
)
const placed = computed(() => {
  const bounds = {
    left: field.value.lane.left - 28,
    top: field.value.top - 14,
    right: width.value,
    bottom: height.value,
  }
  return placeNotes([...spots.value, ...tones.value], bounds)
})
function standing<T extends { id: string; x: number }>(all: readonly T[]) {
  return all.flatMap((one) => {
    const place = placed.value[one.id]
    return place ? [{ ...one, x: one.x + place.dx, trueX: one.x, label: place.label }] : []
  })
}
const notes = computed(() => standing(spots.value))
const placedTones = computed(() => standing(tones.value))

function spoken(figures: Evaluation['swatches'][number], swatch: Swatch) {
  const { on_ground: ratio, reaches, term, hue, chroma } = figures
  const turned = figures.is_neutral ? term : `${term}, hue ${Math.round(hue).toString()} degrees`
  const verdict = reaches === 'nothing' ? 'too close for text' : `enough for ${reaches}`
  const held = swatch.held ? ', held' : ''
  return `${turned}, chroma ${formatFixed(chroma, 2)}, ${formatRatio(ratio)} to 1 on ${stave.value.ground_name}, ${verdict}, ${swatch.hex}${held}`
}
const fieldChroma = computed(() => {
  const wanted = props.selected ?? stave.value.anchor
  const found = props.evaluation.swatches.find((one) => one.id === wanted)
  return found && !found.is_neutral ? found.chroma : 0.1
})
const anchorIsFree = computed(
  () => props.document.swatches.find((one) => one.id === stave.value.anchor)?.held === false,
)

function stepFlag(flag: Flag | 'anchor', degrees: number) {
  keys.stepFlag(flag, degrees)
}
</script>

<template>
  <div
    ref="chart"
    class="relative min-h-70 flex-1 overflow-hidden border border-ink bg-sheet select-none"
    data-testid="stave"
    @pointermove="drag.move"
    @pointerup="drag.release"
    @pointercancel="drag.cancel"
  >
    <template v-if="width > 0">
      <StaveField
        :stave="stave"
        :field="field"
        :greys="greys"
        :chroma="fieldChroma"
        :hue="middleHue"
      />
      <HueRuler
        v-if="stave.has_hue"
        :stave="{ ...stave, hue: middleHue }"
        :field="field"
        :moves="stave.flags_move"
        :anchor-moves="anchorIsFree"
        @grab="drag.grabFlag"
        @step="stepFlag"
        @add="(emit('show', { kind: 'partner', angle: $event.angle }), emit('keep'))"
      />
      <svg class="pointer-events-none absolute inset-0 h-full w-full" aria-hidden="true">
        <!-- From where a note stepped aside from to where it stands. -->
        <line
          v-for="note in notes.filter((one) => !one.inLane && one.x !== one.trueX)"
          :key="note.id"
          :x1="note.trueX"
          :x2="note.x"
          :y1="note.y"
          :y2="note.y"
          class="stroke-ink"
          stroke-width="2"
        />
      </svg>
      <StaveTone
        v-for="tone in placedTones"
        :key="tone.id"
        :x="tone.x"
        :y="tone.y"
        :label="tone.label"
        :name="tone.name"
        :hex="tone.cell.hex"
        :spoken="`${tone.cell.role_names}: ${tone.cell.name}, ${tone.cell.hex}`"
        :is-selected="selected === tone.id"
        @click="emit('select', tone.id)"
      />
      <StaveNote
        v-for="note in notes"
        :key="note.id"
        :data-note="note.id"
        :x="note.x"
        :y="note.y"
        :label="note.label"
        :name="note.name"
        :hex="note.swatch.hex"
        :hue="note.figures.hue"
        :spoken="spoken(note.figures, note.swatch)"
        :is-selected="selected === note.id"
        :is-anchor="stave.anchor === note.id"
        :is-held="note.swatch.held"
        @pointerdown="(emit('select', note.id), drag.grab(note.figures, note.x, note.y, $event))"
        @focusin="emit('select', note.id)"
        @keydown="keys.press(note.figures, $event)"
        @wheel="keys.wheel(note.figures, note.swatch.held, $event)"
      />
      <p
        class="pointer-events-none absolute right-2 bottom-1 left-2 text-right text-small leading-4 text-quiet"
      >
        Across: hue. Up and down: contrast. Striped: too low for text on {{ stave.ground_name }}.
      </p>
      <slot :field="field" />
    </template>
  </div>
</template>
