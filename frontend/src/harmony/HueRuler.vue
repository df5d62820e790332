<script setup lang="ts">
import { computed } from 'vue'
import { flagTop, labelWidth, rowsOfFlags, signed, xOf } from './layout'
import type { Field } from './layout'
import type { Flag, Stave } from '@/api/types'
import { arrowOf } from '@/ui/arrows'

const props = defineProps<{ stave: Stave; field: Field; moves: boolean; anchorMoves: boolean }>()
const emit = defineEmits<{
  grab: [flag: Flag | 'anchor', event: PointerEvent]
  step: [flag: Flag | 'anchor', degrees: number]
  add: [flag: Flag]
}>()

const middle = computed(() => (props.field.left + props.field.right) / 2)
const ticks = computed(() =>
  Array.from({ length: 25 }, (_, tick) => ({
    x: props.field.left + (tick / 24) * (props.field.right - props.field.left),
    isLong: tick % 2 === 0,
  })),
)
const named = computed(() =>
  props.stave.flags.map((flag) => {
    const label = degrees(flag.angle)
    /** Where the rule turns on another circle, how far that is on the stave. */
    const turn = Math.round(flag.angle) === Math.round(flag.turn) ? '' : degrees(flag.turn)
    const width = labelWidth(label.length + turn.length + (flag.swatch ? 0 : ' add'.length))
    return { flag, label, turn, width, line: xOf(flag.hue, props.stave.hue, props.field) }
  }),
)
/** The label keeps off the edges, and off other labels; the line stands where the hue is. */
const flags = computed(() => {
  const { left, right } = props.field
  const beside = named.value.map((one) => ({
    ...one,
    x: Math.min(right + 8 - one.width / 2, Math.max(left + one.width / 2, one.line)),
  }))
  const anchor = { x: middle.value, width: labelWidth('anchor'.length) }
  const [, ...rows] = rowsOfFlags([anchor, ...beside], props.field.flagRows)
  return beside.map((one, number) => ({ ...one, top: flagTop(props.field, rows[number] ?? 0) }))
})
/** What is drawn of the ruler, from where its lowest flags stand. */
const y = (down: number) => props.field.ruler + down

const degrees = (angle: number) => {
  const turn = Math.round(signed(angle))
  return `${turn > 0 ? '+' : turn < 0 ? '−' : ''}${Math.abs(turn).toString()}°`
}

function step(flag: Flag | 'anchor', event: KeyboardEvent) {
  const arrow = arrowOf(event)
  if (arrow?.[0]) {
    event.preventDefault()
    emit('step', flag, arrow[0] * (event.shiftKey ? 10 : 1))
  } else if (event.key === 'Enter' && flag !== 'anchor' && !flag.swatch) emit('add', flag)
}
</script>

<template>
  <svg class="pointer-events-none absolute inset-0 h-full w-full" aria-hidden="true">
    <line :x1="field.left" :x2="field.right" :y1="y(10)" :y2="y(10)" class="stroke-ink" />
    <line
      v-for="(tick, row) in ticks"
      :key="row"
      :x1="tick.x"
      :x2="tick.x"
      :y1="y(tick.isLong ? 23 : 27)"
      :y2="y(32)"
      class="stroke-ink"
    />
    <line
      v-for="({ line }, row) in flags"
      :key="row"
      :x1="line"
      :x2="line"
      :y1="y(18)"
      :y2="field.bottom"
      class="stroke-ink"
      stroke-dasharray="3 4"
    />
    <line :x1="middle" :x2="middle" :y1="y(18)" :y2="field.bottom" class="stroke-ink" />
  </svg>
  <div
    class="keeps-color absolute h-1.5"
    :style="{
      left: `${field.left}px`,
      top: `${y(33)}px`,
      width: `${field.right - field.left}px`,
      background: `linear-gradient(in oklch longer hue to right, oklch(0.68 0.13 ${stave.hue - 180}), oklch(0.68 0.13 ${stave.hue + 179.9}))`,
    }"
  ></div>
  <div
    role="slider"
    :tabindex="anchorMoves ? 0 : -1"
    class="absolute z-1 flex h-5 before:absolute before:-inset-0.5 -translate-x-1/2 items-center border border-ink bg-ink px-1.5 text-small font-semibold text-sheet"
    :class="anchorMoves ? 'cursor-ew-resize touch-none' : 'cursor-default'"
    :style="{ left: `${middle}px`, top: `${flagTop(field, 0)}px` }"
    :title="anchorMoves ? 'Drag to turn the whole chord' : 'The anchor is held'"
    aria-label="Anchor’s flag: turns the whole chord"
    :aria-disabled="!anchorMoves"
    :aria-valuenow="Math.round(stave.hue)"
    aria-valuemin="0"
    aria-valuemax="360"
    :aria-valuetext="`hue ${Math.round(stave.hue)} degrees`"
    @pointerdown="anchorMoves && emit('grab', 'anchor', $event)"
    @keydown="anchorMoves && step('anchor', $event)"
  >
    anchor
  </div>
  <!-- A flag stays itself while its angle changes, so that it keeps the focus and the pointer. -->
  <template v-for="({ flag, x, top, label, turn }, row) in flags" :key="row">
    <div
      role="slider"
      tabindex="0"
      class="absolute flex h-5 before:absolute before:-inset-0.5 -translate-x-1/2 touch-none items-center border bg-sheet px-1.5 text-small font-semibold"
      :class="[
        moves ? 'cursor-ew-resize' : 'cursor-default',
        flag.swatch ? 'border-ink' : 'border-dashed border-ink',
      ]"
      :style="{ left: `${x}px`, top: `${top}px` }"
      data-flag
      :aria-label="
        flag.swatch ? `Partner’s flag at ${label}` : `Open place at ${label}: Enter adds a partner`
      "
      :aria-valuenow="Math.round(flag.angle)"
      aria-valuemin="0"
      aria-valuemax="360"
      :aria-valuetext="turn ? `${label} on the circle, ${turn} on the stave` : label"
      @pointerdown="emit('grab', flag, $event)"
      @keydown="step(flag, $event)"
    >
      {{ label
      }}<span v-if="turn" class="ml-1 font-normal" :title="`${turn} on the stave`">{{ turn }}</span
      ><span v-if="!flag.swatch" class="ml-1 font-normal" aria-hidden="true">add</span>
    </div>
  </template>
</template>
