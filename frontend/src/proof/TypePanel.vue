<script setup lang="ts">
import { computed } from 'vue'
import type { BrandFont, ProofFigures, ProofVocabulary } from '@/api/types'
import ChoiceList from '@/ui/ChoiceList.vue'
import OwnFonts from './OwnFonts.vue'
import { faceName } from './pageFonts'
import PairSpecimens from './PairSpecimens.vue'
import { setProof } from './settings'
import SizeTable from './SizeTable.vue'
import TypeScale from './TypeScale.vue'
import { useBrandStore } from '@/take/brand'
import { useTakeStore } from '@/take/take'

/** Size and weight decide which ratio a text needs, so they belong to the proof. */
const props = defineProps<{ proof: ProofFigures; vocabulary: ProofVocabulary }>()
const take = useTakeStore()
const settings = computed(() => take.shown?.proof)
const OWN = ''
const brand = useBrandStore()
const ownFamilies = computed(() => new Set(brand.detail?.fonts.map((one) => one.face)))
/** Named by the take, and not in the brand any more. */
const missing = computed(() =>
  [settings.value?.heading_face, settings.value?.text_face].filter(
    (face): face is string =>
      typeof face === 'string' &&
      !ownFamilies.value.has(face) &&
      !props.vocabulary.typefaces.some((one) => one.name === face),
  ),
)
const faces = computed(() => [
  { value: OWN, label: 'The trade’s own' },
  ...[...ownFamilies.value].map((face) => ({ value: face, label: faceName(face), note: 'own' })),
  ...[...new Set(missing.value)].map((face) => ({
    value: face,
    label: faceName(face),
    note: 'not here',
  })),
  ...props.vocabulary.typefaces.map((one) => ({
    value: one.name,
    label: one.name,
    note: one.kind,
  })),
])
function face(which: 'heading_face' | 'text_face', name: string) {
  if (take.document) take.change(setProof(take.document, { [which]: name === OWN ? null : name }))
}
/** A take whose headings have no typeface of their own yet is set in what was brought along. */
function use(font: BrandFont) {
  if (!take.document || ownFamilies.value.has(settings.value?.heading_face ?? '')) return
  take.change(setProof(take.document, { heading_face: font.face }))
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
      <p v-for="name in new Set(missing)" :key="name" class="mt-1.5 text-quiet">
        {{ faceName(name) }} isn’t among this brand’s fonts; the trade’s own typeface stands in.
      </p>
    </details>
    <OwnFonts class="mt-3" @added="use" />
    <TypeScale :proof="proof" :vocabulary="vocabulary" />
    <SizeTable :proof="proof" :vocabulary="vocabulary" :settings="settings" />
  </section>
</template>
