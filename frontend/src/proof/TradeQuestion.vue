<script setup lang="ts">
import { computed } from 'vue'
import type { ProofFigures, ProofVocabulary, VoiceId } from '@/api/types'
import ChoiceList from '@/ui/ChoiceList.vue'
import DrawnScene from './DrawnScene.vue'
import { paintVariables } from './rootVariables'
import { setProof } from './settings'
import { VOICES } from './voices'
import { useTakeStore } from '@/take/take'

/** Where a brand’s name doesn’t say what it does, one question; until then its pages are neutral. */
const props = defineProps<{ proof: ProofFigures; vocabulary: ProofVocabulary }>()
const take = useTakeStore()

/** Far apart, and each the trade of many. */
const SHOWN: readonly VoiceId[] = ['restaurant', 'shop', 'craft', 'practice', 'school']
const isOpen = computed(
  () => props.proof.voice === props.vocabulary.neutral && take.shown?.proof.voice === null,
)
const nameOf = (id: VoiceId) => props.vocabulary.voices.find((one) => one.id === id)?.name ?? id
const others = computed(() => [
  { value: '', label: 'Something else…' },
  ...props.vocabulary.voices
    .filter((one) => !SHOWN.includes(one.id))
    .map((one) => ({ value: one.id, label: one.name })),
])
const variables = computed(() => paintVariables(props.proof))
function answer(voice: string) {
  if (take.document && voice) take.change(setProof(take.document, { voice: voice as VoiceId }))
}
</script>

<template>
  <section
    v-if="isOpen"
    class="mt-2 mb-3 border-2 border-ink p-2"
    aria-labelledby="trade-question"
    data-testid="trade-question"
  >
    <h3 id="trade-question" class="font-semibold">What do they do?</h3>
    <p class="text-small leading-snug text-quiet">
      The name doesn’t say, so the pages say nothing of it either.
    </p>
    <div class="mt-2 grid grid-cols-3 gap-1.5" :style="variables">
      <button
        v-for="id in SHOWN"
        :key="id"
        type="button"
        class="flex flex-col border border-ink text-left hover:bg-surround"
        @click="answer(id)"
      >
        <DrawnScene
          class="keeps-color h-12 w-full"
          aria-hidden="true"
          :scene="VOICES[id].home.opening.scene"
        />
        <span class="px-1 py-0.5 text-small leading-tight font-semibold">{{ nameOf(id) }}</span>
      </button>
    </div>
    <ChoiceList
      class="mt-1.5"
      label="Another trade"
      align="left"
      up
      :model-value="''"
      :options="others"
      @update:model-value="answer"
    />
  </section>
</template>
