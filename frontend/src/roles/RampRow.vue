<script setup lang="ts">
import { computed, ref } from 'vue'
import { CHIP, LEFT, chipWidths, targetAt, xOf } from './rampLayout'
import type { Row, Step } from '@/api/types'
import { keyOf } from '@/take/roles'
import { formatRatio } from '@/ui/format'

const props = defineProps<{
  row: Row
  width: number
  top: number
  height: number
  selected: string | undefined
  isHeld: boolean
  groundName: string
}>()
const emit = defineEmits<{ select: [key: string]; grab: [step: Step, event: PointerEvent] }>()

const widths = computed(() => chipWidths(props.row, props.width))
const keys = computed(() => props.row.steps.map((step) => keyOf(targetAt(props.row, step))))
/** One stop for the Tab key in each ramp: the step that is selected, or the swatch itself. */
const stop = computed(() => {
  const chosen = keys.value.indexOf(props.selected ?? '')
  const own = props.row.steps.findIndex((step) => step.is_own)
  return chosen >= 0 ? chosen : Math.max(0, own)
})
const chips = ref<HTMLElement[]>([])

function walk(number: number, event: KeyboardEvent) {
  const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key]
  if (by === undefined) return
  event.preventDefault()
  chips.value[number + by]?.focus()
}
const spoken = (step: Step) =>
  `${step.name}, ${step.hex}, ${formatRatio(step.on_ground)} to 1 on ${props.groundName}`
</script>

<template>
  <div
    role="toolbar"
    :aria-label="`Ramp of ${row.name}`"
    class="absolute inset-x-0"
    :style="{ top: `${top}px`, height: `${height}px` }"
    :data-row="row.owner"
  >
    <button
      type="button"
      class="absolute left-3 text-left hover:underline"
      :style="{ width: `${LEFT - 22}px`, top: `${isHeld ? 5 : 4 + CHIP.height / 2 - 9}px` }"
      :title="row.name"
      @click="emit('select', row.owner)"
    >
      <b class="block truncate leading-4 font-semibold">{{ row.name }}</b>
      <span v-if="isHeld" class="block text-small leading-4 text-quiet">held</span>
    </button>
    <button
      v-for="(step, number) in row.steps"
      ref="chips"
      :key="step.step"
      type="button"
      class="keeps-color absolute cursor-grab touch-auto outline-offset-2"
      :class="[
        step.is_own ? 'border-2 border-ink' : 'border border-hair',
        selected === keys[number] && 'ring-2 ring-ink ring-offset-2 ring-offset-sheet',
      ]"
      :style="{
        left: `${xOf(step.position, width) - (widths[number] ?? 0) / 2}px`,
        top: '4px',
        width: `${widths[number]}px`,
        height: `${CHIP.height}px`,
        backgroundColor: step.hex,
      }"
      :tabindex="number === stop ? 0 : -1"
      :aria-label="spoken(step)"
      :title="spoken(step)"
      @pointerdown="emit('grab', step, $event)"
      @click="emit('select', keys[number] ?? row.owner)"
      @keydown="walk(number, $event)"
    ></button>
  </div>
</template>
