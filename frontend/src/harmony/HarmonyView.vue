<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue'
import { api, answerOf, readSession } from '@/api/client'
import type { Advice, Harmony, TakeChange, TakeDocument, Variation } from '@/api/types'
import ChoiceList from '@/ui/ChoiceList.vue'
import EmptyStep from '@/ui/EmptyStep.vue'
import InspectorPanel from '@/page/InspectorPanel.vue'
import AdviceList from './AdviceList.vue'
import { useAdvice } from './useAdvice'
import HarmonyControls from './HarmonyControls.vue'
import RuleBar from './RuleBar.vue'
import NoticeBar from '@/ui/NoticeBar.vue'
import { useChange } from '@/take/useChange'
import { useSelection } from '@/take/useSelection'
import { usePick } from '@/page/usePick'
import { rolesOfSwatch } from '@/take/swatches'
import { roleLabels } from '@/take/roles'
import StaveChart from './StaveChart.vue'
import StaveTable from './StaveTable.vue'
import { useTakeStore } from '@/take/take'
import { useAnswer } from '@/ui/useAnswer'

const VariationRow = defineAsyncComponent(() => import('./VariationRow.vue'))

defineProps<{ isOver: boolean }>()
defineEmits<{ files: [files: File[]]; paste: [text: string] }>()
const take = useTakeStore()
const change = useChange({ saysItself: true })
const { selected, select } = useSelection('swatch')
const { answer: vocabulary } = useAnswer(() => answerOf(api.GET('/api/harmony')))
const { answer: session } = useAnswer(readSession)
const greys = computed(() => session.value?.scale_greys ?? [])
const isVarying = ref(false)
const isInFigures = ref(false)
const refusal = ref('')

const harmony = computed(() => take.shown?.harmony)
const ruled = (name: string): TakeChange => ({ kind: 'chord', harmony: { rule: name }, turn: 0 })
const rule = computed({
  get: () => harmony.value?.rule ?? '',
  set: (name) => void change.make(ruled(name)),
})
const grounds = computed(() => [
  { value: '', label: 'on Paper' },
  ...(take.document?.swatches ?? []).map((swatch) => ({
    value: swatch.id,
    label: `on ${roleLabels(take.document?.roles ?? [], rolesOfSwatch(take.document, swatch.id)) || swatch.name}`,
  })),
])

function setSettings(changes: Partial<Harmony>) {
  if (take.document)
    take.change({ ...take.document, harmony: { ...take.document.harmony, ...changes } })
}

function setSpread(spread: number) {
  change.show({ kind: 'chord', harmony: { spread }, turn: 0 })
}

function hold(id: string) {
  if (!take.document) return
  const swatches = take.document.swatches.map((one) =>
    one.id === id ? { ...one, held: !one.held } : one,
  )
  take.change({ ...take.document, swatches })
}

function remove(id: string) {
  if (!take.document) return
  const roles = rolesOfSwatch(take.document, id)
  if (roles.length)
    refusal.value = `This swatch is ${roleLabels(take.document?.roles ?? [], roles)}. Give that role to another colour first.`
  else void change.make({ kind: 'remove', owner: id, instead: null })
}

const advice = useAdvice(() => (take.isEmpty ? undefined : take.document))
const { pickSwatch } = usePick()

function followed({ target, value }: Advice): TakeDocument | undefined {
  if (!take.document || !target || !value) return undefined
  const origin = { kind: 'moved', note: 'moved on advice', source: null, share: null } as const
  const swatches = take.document.swatches.map((one) =>
    one.id === target ? { ...one, hex: value, origin } : one,
  )
  return { ...take.document, swatches }
}
function follow(one: Advice) {
  const next = followed(one)
  if (!next || !one.target) return
  take.change(next)
  select(one.target)
}

function chooseVariation({ seed, document }: Variation) {
  const colors = document.swatches.map(({ id, hex }) => ({ swatch: id, hex }))
  void change.make({ kind: 'variation', seed, colors })
}
</script>

<template>
  <main class="grid grid-cols-[minmax(0,1fr)_292px] max-[900px]:grid-cols-1">
    <h2 class="sr-only">Harmony: the stave</h2>
    <div class="flex min-h-0 flex-col gap-2 overflow-y-auto p-4 pt-3">
      <EmptyStep
        v-if="take.isEmpty"
        title="No notes yet"
        text="The stave shows a palette: hue across, contrast up. Build a palette first."
      />
      <template v-else-if="take.shown && take.evaluation && vocabulary && harmony">
        <RuleBar
          v-model="rule"
          :rules="vocabulary.rules"
          :free-angles="harmony.angles"
          :disabled="!take.evaluation.stave.has_hue"
          :change="ruled"
        />
        <StaveChart
          class="min-h-80 max-[900px]:min-h-110"
          :document="take.shown"
          :evaluation="take.evaluation"
          :greys="greys"
          :selected="selected"
          @select="select"
          @show="change.show"
          @keep="change.keep"
          @drop="change.drop"
          @hold="hold"
          @remove="remove"
        >
          <ChoiceList
            class="absolute! top-1 left-1 w-36"
            label="Ground of the stave"
            align="left"
            :model-value="harmony.ground ?? ''"
            :options="grounds"
            @update:model-value="setSettings({ ground: $event || null })"
          />
        </StaveChart>
        <VariationRow
          v-if="isVarying"
          :document="take.shown"
          :take-id="take.take?.id ?? ''"
          :last="vocabulary.last_seed"
          @take="chooseVariation"
          @close="isVarying = false"
        />
        <HarmonyControls
          :harmony="harmony"
          :vocabulary="vocabulary"
          :chroma="take.evaluation?.stave.chroma ?? 0"
          :span="take.evaluation?.stave.span ?? 0"
          :is-varying="isVarying"
          :is-in-figures="isInFigures"
          @spread="setSpread"
          @add-angle="change.make({ kind: 'add angle' })"
          @remove-angle="change.make({ kind: 'remove angle' })"
          @circle="change.make({ kind: 'chord', harmony: { circle: $event }, turn: 0 })"
          @shape="change.show({ kind: 'character', harmony: $event })"
          @keep="change.keep"
          @web-safe="setSettings({ web_safe: $event })"
          @vary="isVarying = !isVarying"
          @figures="isInFigures = !isInFigures"
        />
        <StaveTable v-if="isInFigures" :document="take.shown" :evaluation="take.evaluation" />
        <NoticeBar
          v-if="refusal || change.problem.value"
          :text="refusal || change.problem.value"
          @dismiss="refusal = change.problem.value = ''"
        />
        <NoticeBar
          v-else-if="change.said.value.length"
          :text="change.said.value.join(' ')"
          @dismiss="change.said.value = []"
        />
      </template>
    </div>
    <InspectorPanel
      view="harmony"
      own="Advice"
      :count="advice.length"
      :document="take.isEmpty ? undefined : take.shown"
      @pick="pickSwatch"
    >
      <AdviceList v-if="!take.isEmpty" :advice="advice" :followed="followed" @act="follow" />
    </InspectorPanel>
  </main>
</template>
