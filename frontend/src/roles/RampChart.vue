<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import RampFlag from './RampFlag.vue'
import RampRow from './RampRow.vue'
import RampScale from './RampScale.vue'
import { LEAST_ROW, TOP, placeFlags, stepAcross, stepOf, targetAt } from './rampLayout'
import { useFlagDrag } from './useFlagDrag'
import type { Evaluation, Row, TakeChange, TakeDocument } from '@/api/types'
import { useColorDrag } from '@/page/useColorDrag'
import { giving, keyOf, roleAsText, roleLabel, targetOf } from '@/take/roles'

const props = defineProps<{
  document: TakeDocument
  evaluation: Evaluation
  rows: readonly Row[]
  selected: string | undefined
  selectedRole: string | undefined
  /** How many pairs fall short by what is shown that didn't before. */
  broken: number
}>()
const emit = defineEmits<{
  select: [key: string]
  role: [role: string]
  show: [change: TakeChange]
  keep: []
  drop: []
  remove: [role: string]
}>()

const chart = ref<HTMLElement>()
const sheet = ref<HTMLElement>()
const { height } = useElementSize(chart)
const { width } = useElementSize(sheet)
const rowHeight = computed(() =>
  Math.max(LEAST_ROW, (height.value - TOP - 4) / Math.max(1, props.rows.length)),
)
const nameOf = (role: string) => roleLabel(props.document.roles, role)
const flags = computed(() =>
  width.value ? placeFlags(props.rows, props.document.roles, width.value, nameOf) : [],
)
const heldOnes = computed(
  () => new Set(props.document.swatches.filter((one) => one.held).map(({ id }) => id)),
)

const drag = useFlagDrag(sheet, width, rowHeight, props, {
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
const color = useColorDrag()

const roleOf = (flag: string) => roleAsText(flag) ?? flag
/** Without a colour of its own as text, a role is written in its colour. */
function removeFlag(flag: string) {
  const role = roleAsText(flag)
  if (role === undefined) {
    emit('remove', flag)
    return
  }
  emit('show', { kind: 'text color', role, step: null })
  emit('keep')
}

/** Sideways to the next step, up and down to the nearest step of the next ramp. */
function stepFlag(role: string, event: KeyboardEvent) {
  const now = targetOf(props.document, role)
  const place = props.rows.findIndex((row) => row.owner === now?.swatch)
  const row = props.rows[place]
  const step = now && stepOf(props.rows, now)
  if (!row || !step) return
  const aside = { ArrowLeft: -1, ArrowRight: 1 }[event.key]
  const across = { ArrowUp: -1, ArrowDown: 1 }[event.key]
  const next = aside === undefined ? undefined : row.steps[row.steps.indexOf(step) + aside]
  const other = across === undefined ? undefined : props.rows[place + across]
  const target = next ? targetAt(row, next) : other && stepAcross(other, step.position)
  if (aside !== undefined || across !== undefined) event.preventDefault()
  const asked = target && giving(props.document, role, target)
  if (asked) {
    emit('show', asked)
    emit('keep')
  }
}
</script>

<template>
  <div
    ref="chart"
    class="min-h-0 flex-1 overflow-x-auto overflow-y-auto border border-ink bg-sheet"
  >
    <div
      ref="sheet"
      class="relative min-w-120 select-none"
      :style="{ height: `${TOP + 4 + rowHeight * rows.length}px` }"
      data-testid="ramps"
      @pointermove="drag.move"
      @pointerup="drag.release"
      @pointercancel="drag.cancel"
    >
      <template v-if="width > 0">
        <RampScale :stave="evaluation.stave" :width="width" />
        <RampRow
          v-for="(row, number) in rows"
          :key="row.owner"
          :row="row"
          :width="width"
          :top="TOP + number * rowHeight"
          :height="rowHeight"
          :selected="selected"
          :is-held="heldOnes.has(row.owner)"
          :ground-name="evaluation.stave.ground_name"
          @select="emit('select', $event)"
          @grab="(step, event) => color.grab(targetAt(row, step), step.hex, event)"
        />
        <RampFlag
          v-for="flag in flags"
          :key="flag.role"
          :flag="flag"
          :top="TOP + flag.row * rowHeight"
          :row-height="rowHeight"
          :is-selected="selectedRole === flag.role"
          :is-text="roleAsText(flag.role) !== undefined"
          :is-carried="drag.carried.value?.role === flag.role"
          :broken="drag.carried.value?.role === flag.role ? broken : 0"
          :color-key="keyOf(targetOf(document, flag.role) ?? { swatch: '', step: null })"
          :spoken="
            stepOf(rows, targetOf(document, flag.role) ?? { swatch: '', step: null })?.name ?? ''
          "
          @pointerdown="(emit('role', roleOf(flag.role)), drag.grab(flag.role, $event))"
          @focusin="emit('role', roleOf(flag.role))"
          @keydown="stepFlag(flag.role, $event)"
          @keydown.delete="removeFlag(flag.role)"
        />
      </template>
    </div>
  </div>
</template>
