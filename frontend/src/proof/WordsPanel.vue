<script setup lang="ts">
import { computed, reactive, watch } from 'vue'
import type { ProofFigures, ProofVocabulary, VoiceId } from '@/api/types'
import ChoiceList from '@/ui/ChoiceList.vue'
import { setProof } from './settings'
import { copyOf } from './voices'
import TradeQuestion from './TradeQuestion.vue'
import { useBrandStore } from '@/take/brand'
import { useTakeStore } from '@/take/take'

/** Whose words and pictures the pages have, and what the designer says in their place. */
const props = defineProps<{ proof: ProofFigures; vocabulary: ProofVocabulary }>()
const brand = useBrandStore()
const take = useTakeStore()
const settings = computed(() => take.shown?.proof)

const GUESSED = ''
const nameOf = (id: VoiceId | undefined) =>
  props.vocabulary.voices.find((one) => one.id === id)?.name ?? ''
const trades = computed(() => [
  { value: GUESSED, label: `${nameOf(brand.detail?.voice)}, as guessed` },
  ...props.vocabulary.voices.map((one) => ({ value: one.id, label: one.name })),
])
function trade(id: string) {
  if (take.document) take.change(setProof(take.document, { voice: (id || null) as VoiceId | null }))
}

const FIELDS = [
  { name: 'headline', label: 'Headline' },
  { name: 'kicker', label: 'Line above it' },
  { name: 'button', label: 'Button' },
] as const
const usual = computed(() => copyOf(props.proof.voice, brand.detail?.brand.name ?? '').home.opening)
/** What is being typed is kept here: every drawing of the page would set the old words otherwise. */
const typed = reactive({ headline: '', kicker: '', button: '' })
for (const { name } of FIELDS)
  watch(
    () => settings.value?.[name],
    (now) => (typed[name] = now ?? ''),
    { immediate: true },
  )
function say(name: (typeof FIELDS)[number]['name']) {
  if (take.document) take.change(setProof(take.document, { [name]: typed[name].trim() }))
}
</script>

<template>
  <section v-if="settings" aria-label="Words">
    <h2 class="mb-2 text-title leading-tight">Trade</h2>
    <TradeQuestion :proof="proof" :vocabulary="vocabulary" />
    <ChoiceList
      label="Trade"
      align="left"
      :model-value="settings.voice ?? GUESSED"
      :options="trades"
      @update:model-value="trade"
    />
    <label v-for="one in FIELDS" :key="one.name" class="mt-2 block">
      <span class="text-quiet">{{ one.label }}</span>
      <input
        v-model="typed[one.name]"
        class="field w-full"
        :placeholder="usual[one.name]"
        :maxlength="vocabulary.most_words"
        @change="say(one.name)"
      />
    </label>
  </section>
</template>
