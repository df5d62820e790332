<script setup lang="ts">
import { computed } from 'vue'
import type { FaceName, ProofFigures, ProofVocabulary } from '@/api/types'
import ChoiceList from '@/ui/ChoiceList.vue'
import PairSpecimens from './PairSpecimens.vue'
import { setProof } from './settings'
import SizeTable from './SizeTable.vue'
import TypeScale from './TypeScale.vue'
import { useTakeStore } from '@/take/take'

/** Size and weight decide which ratio a text needs, so they belong to the proof. */
const props = defineProps<{ proof: ProofFigures; vocabulary: ProofVocabulary }>()
const take = useTakeStore()
const settings = computed(() => take.shown?.proof)
const OWN = ''
const faces = computed(() => [
  { value: OWN, label: 'The trade’s own' },
  ...props.vocabulary.typefaces.map((one) => ({
    value: one.name,
    label: one.name,
    note: one.kind,
  })),
])
function face(which: 'heading_face' | 'text_face', name: string) {
  if (take.document)
    take.change(setProof(take.document, { [which]: name === OWN ? null : (name as FaceName) }))
}
</script>

<template>
  <section v-if="settings" aria-label="Type">
    <h2 class="mb-2 text-title leading-tight">Type</h2>
    <PairSpecimens :proof="proof" :vocabulary="vocabulary" :settings="settings" />
    <details class="mt-2">
      <summary class="font-semibold">Custom pairing</summary>
      <ChoiceList
        class="mt-2"
        label="Heading font"
        align="left"
        :model-value="settings.heading_face ?? OWN"
        :options="faces"
        @update:model-value="face('heading_face', $event)"
      />
      <ChoiceList
        class="mt-1"
        label="Text font"
        align="left"
        :model-value="settings.text_face ?? OWN"
        :options="faces"
        @update:model-value="face('text_face', $event)"
      />
    </details>
    <TypeScale :proof="proof" :vocabulary="vocabulary" />
    <SizeTable :proof="proof" :vocabulary="vocabulary" :settings="settings" />
  </section>
</template>
