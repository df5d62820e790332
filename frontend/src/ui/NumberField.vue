<script setup lang="ts">
import { computed, onMounted, ref, useId, useTemplateRef, watch } from 'vue'
import { readNumber, writeNumber } from './numbers'

/**
 * A number that can be typed as people write it: comma or point, with or without its unit. Nothing is clamped: what
 * can't be is said beside the field, and the value stays. While it is typed, an answer that comes doesn't set
 * another one over it.
 */
defineOptions({ inheritAttrs: false })
const props = defineProps<{
  value: number | null | undefined
  min?: number | undefined
  max?: number | undefined
  /** What an arrow key adds; with Shift ten times as much. */
  step?: number
  /** Decimals that are shown. */
  digits?: number
  isWhole?: boolean
  /** Whether the field may be empty. */
  isOptional?: boolean
  /** Whether it is as wide as what it stands in. */
  fills?: boolean
}>()
const emit = defineEmits<{ set: [value: number]; clear: [] }>()
const field = useTemplateRef('field')
const problem = ref('')
const id = useId()
let isTyped = false

const shown = computed(() =>
  props.value === null || props.value === undefined
    ? ''
    : writeNumber(props.value, props.digits ?? 0),
)
function show() {
  if (field.value && !isTyped) field.value.value = shown.value
}
onMounted(show)
watch(
  () => props.value,
  () => {
    // What was refused is over once the value is another one.
    if (document.activeElement !== field.value) settle()
    show()
  },
  { flush: 'post' },
)

const bounds = () => ({ min: props.min, max: props.max, isWhole: props.isWhole ?? false })
function change() {
  const text = field.value?.value ?? ''
  if (props.isOptional && !text.trim()) {
    settle()
    emit('clear')
    return
  }
  // What only stands there as it was shown isn't another number.
  if (text === shown.value) {
    settle()
    return
  }
  const read = readNumber(text, bounds())
  problem.value = typeof read === 'string' ? `${read} Nothing was changed.` : ''
  if (typeof read === 'string') return
  settle()
  emit('set', read)
}
function settle() {
  isTyped = false
  problem.value = ''
}
/** What was refused stays, with the reason, so that it can be mended. */
function leave() {
  if (problem.value) return
  settle()
  show()
}
function nudge(event: KeyboardEvent) {
  const up = event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0
  if (!up || event.altKey || event.ctrlKey || event.metaKey) return
  event.preventDefault()
  const read = readNumber(field.value?.value ?? '')
  const from = typeof read === 'number' ? read : (props.value ?? 0)
  const by = up * (props.step ?? 1) * (event.shiftKey ? 10 : 1)
  const to = Math.min(props.max ?? Infinity, Math.max(props.min ?? -Infinity, from + by))
  if (field.value) field.value.value = writeNumber(to, props.digits ?? 0)
  change()
}
</script>

<template>
  <span class="relative" :class="fills ? 'block' : 'inline-block'">
    <input
      v-bind="$attrs"
      ref="field"
      type="text"
      inputmode="decimal"
      autocomplete="off"
      role="spinbutton"
      :aria-valuenow="value ?? undefined"
      :aria-valuemin="min"
      :aria-valuemax="max"
      :aria-invalid="problem !== ''"
      :aria-describedby="problem ? id : undefined"
      @input="isTyped = true"
      @change="change"
      @blur="leave"
      @keydown="nudge"
    />
    <span
      v-if="problem"
      :id="id"
      role="alert"
      class="absolute top-full left-0 z-20 mt-0.5 w-max max-w-52 border border-ink bg-sheet px-2 py-1 text-small font-semibold text-ink"
      >{{ problem }}</span
    >
  </span>
</template>
