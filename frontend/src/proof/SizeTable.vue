<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type {
  PageWidth,
  ProofFigures,
  ProofSettings,
  ProofVocabulary,
  TextStyle,
} from '@/api/types'
import RadioBar from '@/ui/RadioBar.vue'
import { formatNeeded } from '@/ui/format'
import { useChange } from '@/take/useChange'

/** The sizes of every text, on a wide window, a tablet and a phone; narrow ones follow unless they are set. */
const props = defineProps<{
  proof: ProofFigures
  vocabulary: ProofVocabulary
  settings: ProofSettings
}>()
const change = useChange()
const WIDTHS = [
  { value: 'wide', label: 'Wide' },
  { value: 'tablet', label: 'Tablet' },
  { value: 'phone', label: 'Phone' },
] as const
const width = ref<PageWidth>('wide')
const NAMES: Readonly<Record<TextStyle, string>> = {
  h1: 'Heading 1',
  h2: 'Heading 2',
  h3: 'Heading 3',
  text: 'Text',
  small: 'Small text',
  label: 'Button',
}
const rows = computed(() =>
  props.proof.styles.map((one) => ({
    ...one,
    name: NAMES[one.style],
    shown: width.value === 'wide' ? one.size : one[width.value],
    isSet: props.settings.narrow_sizes.some(
      (typed) => typed.width === width.value && typed.style === one.style,
    ),
  })),
)
/** What was typed and can't be: it is said, and nothing is changed. */
const problem = ref('')
/** While it is typed, and where it is refused, it stays in its field: a new drawing would set the old value there. */
const typed = ref<{ field: string; text: string }>()
/** The field whose value is refused. */
const refused = ref<string>()
watch(width, () => {
  typed.value = refused.value = undefined
  problem.value = ''
})
const shownIn = (field: string, value: number) =>
  typed.value?.field === field ? typed.value.text : value
function keepTyped(field: string, event: Event) {
  typed.value = { field, text: (event.target as HTMLInputElement).value }
}
function leave(field: string) {
  if (refused.value !== field) typed.value = undefined
}
function read(event: Event, field: string, name: string): number | undefined {
  if (!(event.target instanceof HTMLInputElement)) return undefined
  const { min, max, valueAsNumber: value } = event.target
  const isAllowed = value >= Number(min) && value <= Number(max)
  refused.value = isAllowed ? undefined : field
  typed.value = isAllowed ? undefined : { field, text: event.target.value }
  problem.value = isAllowed ? '' : `${name} can be ${min} to ${max}; nothing was changed.`
  return isAllowed ? Math.round(value) : undefined
}
function size(row: (typeof rows.value)[number], event: Event) {
  const value = read(event, `${row.style} size`, `The size of ${row.name}`)
  if (value === undefined) return
  const { style } = row
  void change.make(
    width.value === 'wide'
      ? { kind: 'size', style, size: value, weight: null }
      : { kind: 'narrow size', width: width.value, style, size: value },
  )
}
function weight(row: (typeof rows.value)[number], event: Event) {
  const value = read(event, `${row.style} weight`, `The weight of ${row.name}`)
  const { style } = row
  if (value !== undefined) void change.make({ kind: 'size', style, size: null, weight: value })
}
function follow(style: TextStyle) {
  if (width.value !== 'wide')
    void change.make({ kind: 'narrow size', width: width.value, style, size: null })
}
</script>

<template>
  <RadioBar v-model="width" class="mt-3 w-fit" label="Sizes for" :options="WIDTHS" small />
  <table class="mt-1.5 w-full">
    <thead class="text-left text-small text-quiet">
      <tr>
        <th scope="col" class="font-normal">Set in</th>
        <th scope="col" class="font-normal">px</th>
        <th scope="col" class="font-normal">{{ width === 'wide' ? 'Weight' : '' }}</th>
        <th scope="col" class="text-right font-normal">Needs</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="one in rows" :key="`${width} ${one.style}`" class="border-t border-hair">
        <th scope="row" class="py-0.5 text-left font-normal">{{ one.name }}</th>
        <td>
          <input
            class="field value w-15"
            type="number"
            :min="vocabulary.least_size"
            :max="vocabulary.largest_size"
            :value="shownIn(`${one.style} size`, one.shown)"
            :aria-invalid="refused === `${one.style} size`"
            :aria-label="`Size of ${one.name} in pixels`"
            @input="keepTyped(`${one.style} size`, $event)"
            @change="size(one, $event)"
            @blur="leave(`${one.style} size`)"
          />
        </td>
        <td>
          <input
            v-if="width === 'wide'"
            class="field value w-17"
            type="number"
            min="1"
            max="1000"
            step="50"
            :value="shownIn(`${one.style} weight`, one.weight)"
            :aria-invalid="refused === `${one.style} weight`"
            :aria-label="`Weight of ${one.name}`"
            @input="keepTyped(`${one.style} weight`, $event)"
            @change="weight(one, $event)"
            @blur="leave(`${one.style} weight`)"
          />
          <button
            v-else-if="one.isSet"
            type="button"
            class="underline underline-offset-2"
            :aria-label="`Let ${one.name} follow the wide size`"
            @click="follow(one.style)"
          >
            Follow
          </button>
        </td>
        <td class="value text-right">{{ formatNeeded(one.needed) }}</td>
      </tr>
    </tbody>
  </table>
  <p v-if="problem" role="alert" class="mt-1 font-semibold">{{ problem }}</p>
  <p class="mt-1 text-small text-quiet">Requirements follow the strictest width.</p>
</template>
