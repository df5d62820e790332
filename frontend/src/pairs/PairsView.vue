<script setup lang="ts">
import { computed, nextTick, ref, useTemplateRef } from 'vue'
import { readSession } from '@/api/client'
import type { Level } from '@/api/types'
import ActionMenu from '@/ui/ActionMenu.vue'
import EmptyStep from '@/ui/EmptyStep.vue'
import InspectorPanel from '@/page/InspectorPanel.vue'
import AddPairDialog from './AddPairDialog.vue'
import ConfusionList from './ConfusionList.vue'
import LevelSwitch from './LevelSwitch.vue'
import MendAllDialog from './MendAllDialog.vue'
import OverPicture from './OverPicture.vue'
import PairGrid from './PairGrid.vue'
import PairInspector from './PairInspector.vue'
import PairRow from './PairRow.vue'
import RadioBar from '@/ui/RadioBar.vue'
import { useChange } from '@/take/useChange'
import { useSelection } from '@/take/useSelection'
import { usePick } from '@/page/usePick'
import { useTakeStore } from '@/take/take'
import { useAnswer } from '@/ui/useAnswer'

defineProps<{ isOver: boolean }>()
defineEmits<{ files: [files: File[]]; paste: [text: string] }>()
const take = useTakeStore()
const { selected, select } = useSelection('pair')
const list = useTemplateRef<HTMLElement>('list')
const inspector = useTemplateRef('inspector')
/** The pair whose mends are to have the focus, as soon as they are found. */
const entering = ref<string>()
function enter(id: string) {
  select(id)
  entering.value = id
  inspector.value?.open()
}
/** Back from the mends to the pair in the list. */
async function leave(id: string) {
  inspector.value?.close()
  await nextTick()
  list.value?.querySelector<HTMLElement>(`[data-pair="${CSS.escape(id)}"] button`)?.focus()
}
const SHAPES = [
  { value: 'list', label: 'List' },
  { value: 'grid', label: 'Grid' },
  { value: 'try', label: 'Text on every colour' },
] as const
const shape = ref<'list' | 'grid' | 'try'>('list')
const isAdding = ref(false)
const isMending = ref(false)
const isOverPicture = ref(false)
const change = useChange()
const { pickPair } = usePick()
const ADDED = [
  { value: 'pair', label: 'A pair' },
  { value: 'states', label: 'States of links and buttons' },
  { value: 'picture', label: 'Text over a picture' },
] as const
function add(what: (typeof ADDED)[number]['value']) {
  if (what === 'states') void change.make({ kind: 'states' })
  isAdding.value = what === 'pair'
  isOverPicture.value = what === 'picture'
}
const { answer: session } = useAnswer(readSession)
const greys = computed(() => session.value?.scale_greys ?? [])

const pairs = computed(() => take.evaluation?.pairs ?? [])
const pair = computed(() => pairs.value.find((one) => one.id === selected.value) ?? pairs.value[0])
const level = computed<Level>({
  get: () => take.document?.level ?? 'AA',
  set: (value) => {
    if (take.document && value !== take.document.level)
      take.change({ ...take.document, level: value })
  },
})
</script>

<template>
  <main class="grid grid-cols-[minmax(0,1fr)_292px] max-[900px]:grid-cols-1">
    <h2 class="sr-only">Pairs: texts on their grounds</h2>
    <div
      class="@container min-h-0 relative overflow-y-auto px-4 py-3"
      tabindex="0"
      aria-label="Pairs, failing first"
      role="region"
    >
      <EmptyStep
        v-if="take.isEmpty"
        title="No pairs yet"
        text="Build a palette first; then Tonada checks every text on its background."
      />
      <template v-else>
        <div class="flex flex-wrap items-center gap-x-3 gap-y-2">
          <RadioBar v-model="shape" label="Shown as" :options="SHAPES" />
          <LevelSwitch v-model="level" />
          <ActionMenu class="relative" align="left" :actions="ADDED" @act="add">Add</ActionMenu>
          <p class="ml-auto font-semibold" role="status" data-testid="tally">
            {{ take.counts.passes }} of {{ take.counts.judged }} pairs pass {{ level }}
          </p>
          <button
            v-if="take.failing > 0"
            type="button"
            class="button-solid"
            @click="isMending = true"
          >
            Mend all {{ take.failing }}
          </button>
        </div>
        <template v-if="shape === 'list'">
          <div
            class="pair-columns mt-2 grid items-end gap-x-3 @max-[640px]:hidden border-b border-ink pb-1.5 text-small text-quiet"
            aria-hidden="true"
          >
            <span class="pl-1">As it looks</span>
            <span>Text on ground</span>
            <span>Contrast; bracket: what is needed</span>
            <span>Ratio</span><span>Verdict</span><span></span>
          </div>
          <ul ref="list">
            <PairRow
              v-for="one in pairs"
              :key="one.id"
              :pair="one"
              :greys="greys"
              :selected="one.id === pair?.id"
              @select="enter(one.id)"
            />
          </ul>
          <ConfusionList />
        </template>
        <PairGrid v-else-if="take.shown" :document="take.shown" :tried="shape === 'try'" />
        <AddPairDialog
          v-if="take.document"
          v-model="isAdding"
          :document="take.document"
          @add="change.make"
        />
        <MendAllDialog v-model="isMending" />
        <OverPicture v-if="take.document" v-model="isOverPicture" :document="take.document" />
      </template>
    </div>
    <InspectorPanel
      ref="inspector"
      view="pairs"
      own="Pair"
      first="own"
      :chosen="selected"
      :document="take.isEmpty ? undefined : take.shown"
      @pick="pickPair"
    >
      <PairInspector
        v-if="pair"
        :key="pair.id"
        :pair="pair"
        :enters="entering === pair.id"
        @entered="entering = undefined"
        @leave="leave(pair.id)"
      />
    </InspectorPanel>
  </main>
</template>
