<script setup lang="ts">
import { computed } from 'vue'
import type { FaceName, ProofFigures, ProofVocabulary, TextStyle } from '@/api/types'
import ChoiceList from '@/ui/ChoiceList.vue'
import { setProof, setSize } from './settings'
import { formatNeeded } from '@/ui/format'
import { useTakeStore } from '@/take/take'

/** Size and weight decide which ratio a text needs, so they belong to the proof. */
const props = defineProps<{ proof: ProofFigures; vocabulary: ProofVocabulary }>()
const take = useTakeStore()
const settings = computed(() => take.shown?.proof)

const NAMES: Readonly<Record<TextStyle, string>> = {
  h1: 'Heading 1',
  h2: 'Heading 2',
  h3: 'Heading 3',
  text: 'Text',
  small: 'Small text',
  label: 'Button',
}
const faces = computed(() =>
  props.vocabulary.typefaces.map((one) => ({ value: one.name, label: one.name, note: one.kind })),
)
const NONE = ''
const pairing = computed(() => {
  const at = props.vocabulary.pairings.findIndex(
    (one) => one.heading === settings.value?.heading_face && one.text === settings.value.text_face,
  )
  return at < 0 ? NONE : at.toString()
})
const pairings = computed(() => [
  ...(pairing.value === NONE ? [{ value: NONE, label: 'A pair of your own' }] : []),
  ...props.vocabulary.pairings.map((one, row) => ({
    value: row.toString(),
    label: one.heading === one.text ? one.heading : `${one.heading} / ${one.text}`,
  })),
])
const reason = computed(() => props.vocabulary.pairings[Number(pairing.value)]?.reason)

function pair(value: string) {
  const chosen = value === NONE ? undefined : props.vocabulary.pairings[Number(value)]
  if (take.document && chosen)
    take.change(setProof(take.document, { heading_face: chosen.heading, text_face: chosen.text }))
}
function face(which: 'heading_face' | 'text_face', name: FaceName) {
  if (take.document) take.change(setProof(take.document, { [which]: name }))
}
function set(style: TextStyle, part: 'size' | 'weight', event: Event) {
  const now = props.proof.styles.find((one) => one.style === style)
  if (!now || !take.document || !(event.target instanceof HTMLInputElement)) return
  const value = event.target.valueAsNumber
  const { min, max } = event.target
  if (!(value >= Number(min) && value <= Number(max))) {
    event.target.value = now[part].toString()
    return
  }
  const next = { ...now, [part]: Math.round(value) }
  take.change(setSize(take.document, style, next.size, next.weight))
}
</script>

<template>
  <section v-if="settings" aria-label="Type">
    <h2 class="mb-2 text-title leading-tight">Type</h2>
    <ChoiceList
      label="Faces that go together"
      align="left"
      :model-value="pairing"
      :options="pairings"
      @update:model-value="pair"
    />
    <p class="mt-1 text-quiet">{{ reason ?? 'Chosen by you.' }}</p>
    <ChoiceList
      class="mt-2"
      label="Face of headings"
      align="left"
      :model-value="settings.heading_face"
      :options="faces"
      @update:model-value="face('heading_face', $event)"
    />
    <ChoiceList
      class="mt-1"
      label="Face of text"
      align="left"
      :model-value="settings.text_face"
      :options="faces"
      @update:model-value="face('text_face', $event)"
    />
    <table class="mt-3 w-full">
      <thead class="text-left text-small text-quiet">
        <tr>
          <th scope="col" class="font-normal">Set in</th>
          <th scope="col" class="font-normal">px</th>
          <th scope="col" class="font-normal">Weight</th>
          <th scope="col" class="text-right font-normal">Needs</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="one in proof.styles" :key="one.style" class="border-t border-hair">
          <th scope="row" class="py-0.5 text-left font-normal">{{ NAMES[one.style] }}</th>
          <td>
            <input
              class="field value w-15"
              type="number"
              min="8"
              max="200"
              :value="one.size"
              :aria-label="`Size of ${NAMES[one.style]} in pixels`"
              @change="set(one.style, 'size', $event)"
            />
          </td>
          <td>
            <input
              class="field value w-17"
              type="number"
              min="1"
              max="1000"
              step="50"
              :value="one.weight"
              :aria-label="`Weight of ${NAMES[one.style]}`"
              @change="set(one.style, 'weight', $event)"
            />
          </td>
          <td class="value text-right">{{ formatNeeded(one.needed) }}</td>
        </tr>
      </tbody>
    </table>
  </section>
</template>
