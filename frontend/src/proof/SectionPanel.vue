<script setup lang="ts">
import { computed } from 'vue'
import type { ProofFigures, ProofVocabulary } from '@/api/types'
import ChoiceList from '@/ui/ChoiceList.vue'
import { useTakeStore } from '@/take/take'
import { useChange } from '@/take/useChange'

/** Which ground each section of the page stands on. */
const props = defineProps<{
  page: ProofVocabulary['pages'][number]
  proof: ProofFigures
  voices: ProofVocabulary['voices']
}>()
const take = useTakeStore()
const change = useChange()
/** The home page is composed by its voice. */
const sections = computed(() =>
  props.page.id === 'home'
    ? (props.voices.find((one) => one.id === props.proof.voice)?.home ?? [])
    : props.page.sections,
)

const grounds = computed(() =>
  props.proof.grounds.map((one) => ({ value: one.id, label: one.name })),
)
const groundOf = (section: string) =>
  props.proof.sections.find((one) => one.page === props.page.id && one.section === section)
    ?.ground ?? ''
const isChanged = computed(() =>
  take.document?.proof.sections.some((one) => one.page === props.page.id),
)
const stand = (sections: { section: string; ground: string }[]) =>
  change.make({ kind: 'sections', page: props.page.id, sections })
const set = (section: string, ground: string) => stand([{ section, ground }])

const NONE = ''
/** Two alternating grounds, from the first section to the last. */
const turns = computed(() => {
  const [first, ...others] = props.proof.grounds
  return [
    { value: NONE, label: 'Alternate…' },
    ...others.map((one) => ({ value: one.id, label: `${first?.name ?? ''} and ${one.name}` })),
  ]
})
function alternate(second: string) {
  const first = props.proof.grounds[0]?.id
  if (!second || !first) return
  void stand(
    sections.value.map(({ id }, row) => ({ section: id, ground: row % 2 ? second : first })),
  )
}
</script>

<template>
  <section :aria-label="`Sections of ${page.name}`">
    <h3 class="mt-4 text-quiet">Sections of this page</h3>
    <div v-for="one in sections" :key="one.id" class="mt-1 flex items-center gap-2">
      <span class="w-28 truncate">{{ one.name }}</span>
      <ChoiceList
        class="min-w-0 flex-1"
        :label="`Ground of ${one.name}`"
        :model-value="groundOf(one.id)"
        :options="grounds"
        @update:model-value="set(one.id, $event)"
      />
    </div>
    <div class="mt-2 flex gap-2">
      <ChoiceList
        class="min-w-0 flex-1"
        label="Two alternating grounds"
        align="left"
        up
        :model-value="NONE"
        :options="turns"
        @update:model-value="alternate"
      />
      <button v-if="isChanged" type="button" class="button" @click="stand([])">As it was</button>
    </div>
  </section>
</template>
