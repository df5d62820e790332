<script setup lang="ts">
import { computed, ref } from 'vue'
import type {
  PageWidth,
  ProofFigures,
  ProofSettings,
  ProofVocabulary,
  TextStyle,
} from '@/api/types'
import NumberField from '@/ui/NumberField.vue'
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
function size({ style }: (typeof rows.value)[number], value: number) {
  void change.make(
    width.value === 'wide'
      ? { kind: 'size', style, size: value, weight: null, voice: props.proof.voice }
      : { kind: 'narrow size', width: width.value, style, size: value },
  )
}
function weight({ style }: (typeof rows.value)[number], value: number) {
  void change.make({ kind: 'size', style, size: null, weight: value, voice: props.proof.voice })
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
          <NumberField
            class="field value w-15"
            :min="vocabulary.least_size"
            :max="vocabulary.largest_size"
            is-whole
            :value="one.shown"
            :aria-label="`Size of ${one.name} in pixels`"
            @set="size(one, $event)"
          />
        </td>
        <td>
          <NumberField
            v-if="width === 'wide'"
            class="field value w-17"
            :min="1"
            :max="1000"
            :step="50"
            is-whole
            :value="one.weight"
            :aria-label="`Weight of ${one.name}`"
            @set="weight(one, $event)"
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
  <p class="mt-1 text-small text-quiet">Requirements follow the strictest width.</p>
</template>
