<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import HueRuler from './HueRuler.vue'
import StaveField from './StaveField.vue'
import StaveNote from './StaveNote.vue'
import { LANE, fieldOf, placeNotes, xOf, yOf } from './layout'
import { useNoteKeys } from './useNoteKeys'
import { useStaveDrag } from './useStaveDrag'
import type { Evaluation, Flag, Swatch, TakeChange, TakeDocument } from '@/api/types'
import { formatRatio, roleNames } from '@/format'

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

const NEUTRAL_BELOW = 0.03
/** Pixels of a letter of a label, and what stands around it. */
const LETTER = 6.7
const PADDING = 16

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

const notes = computed(() => {
  const swatches = new Map(props.document.swatches.map((swatch) => [swatch.id, swatch]))
  const spots = props.evaluation.swatches.flatMap((figures) => {
    const swatch = swatches.get(figures.id)
    if (!swatch) return []
    const isNeutral = figures.chroma < NEUTRAL_BELOW
    const held = drag.at.value?.id === figures.id ? drag.at.value : undefined
    const name = roleNames(figures.roles) || swatch.name
    return [
      {
        id: figures.id,
        figures,
        swatch,
        name: name.length > 26 ? `${name.slice(0, 25)}…` : name,
        x: isNeutral
          ? LANE.left + LANE.width / 2
          : (held?.x ?? xOf(figures.hue, middleHue.value, field.value)),
        y: held?.y ?? yOf(figures.position, field.value),
        width: Math.min(name.length, 26) * LETTER + PADDING + (swatch.held ? 34 : 0),
        inLane: isNeutral,
      },
    ]
  })
  const bounds = { left: 60, top: field.value.top - 14, right: width.value, bottom: height.value }
  const placed = placeNotes(spots, bounds)
  return spots.flatMap((spot) => {
    const place = placed[spot.id]
    return place ? [{ ...spot, x: spot.x + place.dx, trueX: spot.x, label: place.label }] : []
  })
})

const groundName = computed(() => {
  const swatch = props.document.swatches.find((one) => one.id === stave.value.ground)
  const roles = props.evaluation.swatches.find((one) => one.id === swatch?.id)?.roles ?? []
  return roleNames(roles) || (swatch?.name ?? '')
})
function spoken(figures: Evaluation['swatches'][number], swatch: Swatch) {
  const { on_ground: ratio } = figures
  const reaches = ratio >= 7 ? 'enhanced text' : ratio >= 4.5 ? 'body text' : 'large text and parts'
  const verdict = ratio >= 3 ? `enough for ${reaches}` : 'too close for text'
  const held = swatch.held ? ', held' : ''
  return `${swatch.name}, ${swatch.hex}${held}, ${formatRatio(ratio)} to 1 on ${groundName.value}, ${verdict}`
}
const fieldChroma = computed(() => {
  const wanted = props.selected ?? stave.value.anchor
  const found = props.evaluation.swatches.find((one) => one.id === wanted)
  return found && found.chroma >= NEUTRAL_BELOW ? found.chroma : 0.1
})
const anchorIsFree = computed(
  () => props.document.swatches.find((one) => one.id === stave.value.anchor)?.held === false,
)
const moves = computed(() => props.document.harmony.rule !== 'triadic')

function stepFlag(flag: Flag | 'anchor', degrees: number) {
  keys.stepFlag(flag, degrees)
}
</script>

<template>
  <div
    ref="chart"
    class="relative min-h-0 flex-1 overflow-hidden border border-ink bg-sheet select-none"
    data-testid="stave"
    @pointermove="drag.move"
    @pointerup="drag.release"
    @pointercancel="drag.cancel"
    @keydown.esc="drag.cancel"
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
        :moves="moves"
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
        @wheel.prevent="keys.wheel(note.figures, $event)"
      />
      <p class="absolute right-2 bottom-1 text-small text-quiet">
        sideways is hue, up and down is contrast; striped is too close to {{ groundName }} for text
      </p>
      <slot :field="field" />
    </template>
  </div>
</template>
