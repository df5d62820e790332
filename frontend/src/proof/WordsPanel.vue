<script setup lang="ts">
import { computed, reactive, watch } from 'vue'
import type { ProofFigures, ProofSettings, ProofVocabulary, VoiceId } from '@/api/types'
import ChoiceList from '@/ui/ChoiceList.vue'
import { saying } from './ownTexts'
import { setProof } from './settings'
import { inOneLine } from './typeOver'
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
  { name: 'headline', label: 'Headline', part: 'Opening’s heading' },
  { name: 'kicker', label: 'Line above it', part: 'Opening’s kicker' },
  { name: 'button', label: 'Button', part: 'Opening’s button, label' },
] as const
const PAGE = 'home'
const saidAt = (part: string) =>
  settings.value?.texts.find((one) => one.page === PAGE && one.part === part)?.text
const usual = computed(() => copyOf(props.proof.voice, brand.detail?.brand.name ?? '').home.opening)
/** What is being typed is kept here: every drawing of the page would set the old words otherwise. */
const typed = reactive({ headline: '', kicker: '', button: '' })
for (const { name, part } of FIELDS)
  watch(
    () => saidAt(part),
    (now) => (typed[name] = now ?? ''),
    { immediate: true },
  )
function say({ name, part }: (typeof FIELDS)[number]) {
  if (!take.document) return
  const said = { page: PAGE, part, text: inOneLine(typed[name]) }
  take.change(setProof(take.document, { texts: saying(take.document.proof.texts, said) }))
}
const AUTOMATIC = ''
const languages = computed(() => [
  { value: AUTOMATIC, label: 'As its words are' },
  ...props.vocabulary.languages.map((one) => ({ value: one.code, label: one.name })),
])
function speak(code: string) {
  const language = (code || null) as ProofSettings['language']
  if (take.document) take.change(setProof(take.document, { language }))
}
function resetAll() {
  if (take.document) take.change(setProof(take.document, { texts: [] }))
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
        dir="auto"
        @change="say(one)"
      />
    </label>
    <p class="mt-2 text-small text-quiet">
      Double-click any text on a page to type over it.
      <template v-if="settings.texts.length">
        {{ settings.texts.length === 1 ? 'One is' : `${settings.texts.length} are` }} yours.
        <button type="button" class="text-ink underline underline-offset-2" @click="resetAll">
          Reset all
        </button>
      </template>
    </p>
    <p v-for="one in proof.letters" :key="one.family" class="mt-2 text-small text-quiet">
      {{ one.instead_of.join(' and ') }} {{ one.instead_of.length > 1 ? 'have' : 'has' }} no such
      letters; {{ one.name }} draws them.
      <template v-if="one.left_out"
        >{{ one.left_out }} more than {{ one.characters.length }} different ones are drawn by the
        reader’s device.</template
      >
    </p>
    <p class="mt-3 text-quiet">Language of the pages</p>
    <ChoiceList
      label="Language of the pages"
      align="left"
      :model-value="settings.language ?? AUTOMATIC"
      :options="languages"
      @update:model-value="speak"
    />
  </section>
</template>
