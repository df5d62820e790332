<script setup lang="ts">
import { Tab, TabGroup, TabList, TabPanel, TabPanels } from '@headlessui/vue'
import { useElementSize, useFullscreen } from '@vueuse/core'
import { computed, ref, useTemplateRef } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { api, explain, answerOf } from '@/api/client'
import ActionMenu from '@/ui/ActionMenu.vue'
import EmptyStep from '@/ui/EmptyStep.vue'
import SidePanel from '@/panel/SidePanel.vue'
import BesideMenu from './BesideMenu.vue'
import GroundPanel from './GroundPanel.vue'
import LogoNotice from './LogoNotice.vue'
import MaterialPanel from './MaterialPanel.vue'
import PageStrip from './PageStrip.vue'
import PaintedShares from './PaintedShares.vue'
import PartInspector from './PartInspector.vue'
import PartList from './PartList.vue'
import PlannedShares from './PlannedShares.vue'
import ProofBeside from './ProofBeside.vue'
import ScatterSheet from './ScatterSheet.vue'
import SectionPanel from './SectionPanel.vue'
import TradeQuestion from './TradeQuestion.vue'
import TypePanel from './TypePanel.vue'
import RadioBar from '@/ui/RadioBar.vue'
import WordsPanel from './WordsPanel.vue'
import type { PageWidth } from '@/api/types'
import { useSelection } from '@/take/useSelection'
import ProofFrame from './ProofFrame.vue'
import { saying } from './ownTexts'
import { elementOf, figuresOf } from './parts'
import { savePicture } from './picture'
import { ARRANGEMENTS } from './scatter'
import type { Arrangement } from './scatter'
import { setProof } from './settings'
import { useContext } from './useContext'
import { useDrawnPage } from './useDrawnPage'
import { useProof } from './useProof'
import { useCameBackStore } from '@/remarks/cameBack'
import PartRemarks from '@/remarks/PartRemarks.vue'
import { useBrandStore } from '@/take/brand'
import { useTakeStore } from '@/take/take'
import { useAnswer } from '@/ui/useAnswer'
import { formatRatio } from '@/ui/format'

defineProps<{ isOver: boolean }>()
defineEmits<{ files: [files: File[]]; paste: [text: string] }>()
const brand = useBrandStore()
const take = useTakeStore()
const route = useRoute()
const router = useRouter()
const { selected, select } = useSelection('part')

const { answer: vocabulary } = useAnswer(() => answerOf(api.GET('/api/proof')))

/** Besides the pages there is one sheet without any: the colours alone. */
const SCATTER = 'scatter'
const FIRST = 'home'
const page = computed({
  get: () =>
    typeof route.params.page === 'string' && route.params.page ? route.params.page : FIRST,
  set: (value) =>
    void router.replace({ params: { page: value }, query: { ...route.query, part: undefined } }),
})
const pages = computed(() => vocabulary.value?.pages ?? [])
const choices = computed(() => [
  ...pages.value.map((one) => ({ value: one.id, label: one.name })),
  { value: SCATTER, label: 'Scatter' },
])
const pageName = computed(() => choices.value.find((one) => one.value === page.value)?.label ?? '')

const SIZES = [
  { value: 'wide', label: 'Wide' },
  { value: 'tablet', label: 'Tablet' },
  { value: 'phone', label: 'Phone' },
] as const
const PIXELS: Readonly<Record<PageWidth, number>> = { wide: 1280, tablet: 820, phone: 390 }
const size = ref<PageWidth>(window.innerWidth < 700 ? 'phone' : 'wide')
const width = computed(() => PIXELS[size.value])
const arrangement = ref<Arrangement>('scattered')

const { figures } = useProof(() => take.shown)
const context = useContext(
  () => take.shown,
  () => figures.value,
  () => page.value,
)
const { drawn, parts, painted, counts, read } = useDrawnPage(() => figures.value)
const part = computed(() => parts.value.find((one) => one.name === selected.value))
const element = computed(() =>
  drawn.value && part.value ? (elementOf(drawn.value, part.value.name) ?? undefined) : undefined,
)
const short = computed(() =>
  parts.value.filter((one) => {
    const use = figures.value && figuresOf(one, figures.value)
    return use && !use.passes
  }),
)

const stage = useTemplateRef<HTMLElement>('stage')
const room = useElementSize(stage)
const scale = computed(() => Math.min(1, room.width.value / width.value))
const frame = useTemplateRef<InstanceType<typeof ProofFrame>>('frame')
const { isFullscreen, toggle: toggleFull } = useFullscreen(stage)

const isOutlined = ref(false)
const hasStrip = ref(false)
const beside = ref<string[]>([])
const slides = ref(false)
const others = computed(() => (brand.detail?.takes ?? []).filter((one) => one.id !== take.take?.id))
const chosen = computed(() => others.value.filter((one) => beside.value.includes(one.id)))

const tab = ref(0)
const GROUNDS_TAB = 1
/** The ground of the section that was clicked beside its parts. */
const clicked = ref<string>()
function pick(name: string, section: string | undefined) {
  select(name || undefined)
  tab.value = name ? 0 : section ? GROUNDS_TAB : tab.value
  clicked.value = figures.value?.sections.find(
    (one) => one.page === page.value && one.section === section,
  )?.ground
}
/** Words typed over a text of the page; as they were, they are none of one’s own. */
function say(on: string, part: string, text: string) {
  if (!take.document) return
  const texts = saying(take.document.proof.texts, { page: on, part, text })
  take.change(setProof(take.document, { texts }))
}
function choose(name: string) {
  select(name)
  frame.value?.reveal(name)
}
/** What clients said, at the parts that they meant. */
const cameBack = useCameBackStore()
const marks = computed(() =>
  cameBack.remarks
    .map(({ remark }, row) => ({ remark, number: row + 1 }))
    .filter(({ remark: { about } }) => about.kind === 'part' && about.page === page.value)
    .map(({ remark, number }) => ({
      id: remark.id,
      number,
      part: remark.about.part,
      label: `Remark ${number.toString()}, ${remark.about.name}`,
    })),
)
function openMark(id: string) {
  const part = marks.value.find((one) => one.id === id)?.part
  const name = part && parts.value.find((one) => one.name.startsWith(part))?.name
  tab.value = 0
  if (name) choose(name)
}
const hovered = ref<string>()
const pointed = computed(() => {
  const one = parts.value.find(({ name }) => name === hovered.value)
  const use = one && figures.value && figuresOf(one, figures.value)
  return use ? { name: one.name, use } : undefined
})

const ACTIONS = computed(() => [
  {
    value: 'outline' as const,
    label: isOutlined.value ? 'Stop outlining' : 'Outline failing elements',
  },
  { value: 'strip' as const, label: hasStrip.value ? 'Hide the small pages' : 'All pages small' },
  { value: 'full' as const, label: 'Full screen' },
  { value: 'once' as const, label: 'Picture, PNG at 1x' },
  { value: 'twice' as const, label: 'Picture, PNG at 2x' },
])
const failure = ref('')
async function act(what: (typeof ACTIONS.value)[number]['value']) {
  if (what === 'outline') isOutlined.value = !isOutlined.value
  else if (what === 'strip') hasStrip.value = !hasStrip.value
  else if (what === 'full') await toggleFull()
  else await picture(what === 'once' ? 1 : 2)
}
async function picture(times: 1 | 2) {
  const body = frame.value?.body
  if (!body) return
  try {
    await savePicture(body, `${brand.detail?.brand.name ?? 'proof'} ${pageName.value}`, times)
    failure.value = ''
  } catch (reason) {
    failure.value = explain(reason)
  }
}
const TABS = ['Element', 'Grounds', 'Type', 'Content'] as const
</script>

<template>
  <main class="grid grid-cols-[minmax(0,1fr)_292px] max-[900px]:grid-cols-1">
    <h2 class="sr-only">Proof: sample pages</h2>
    <div class="flex min-h-0 flex-col gap-2.5 px-4 py-3">
      <EmptyStep
        v-if="take.isEmpty"
        title="No sample pages yet"
        text="Build a palette first; the pages will use it."
      />
      <template v-else>
        <div class="flex flex-wrap items-center gap-2">
          <RadioBar v-model="page" label="Page" :options="choices" small />
          <RadioBar
            v-if="page === SCATTER"
            v-model="arrangement"
            label="Arrangement"
            :options="ARRANGEMENTS"
          />
          <RadioBar v-else v-model="size" label="Width" :options="SIZES" small />
          <template v-if="page !== SCATTER">
            <BesideMenu v-model="beside" v-model:slides="slides" class="ml-auto" :takes="others" />
            <ActionMenu
              class="relative"
              :class="!others.length && 'ml-auto'"
              :actions="ACTIONS"
              label="Page options"
              @act="act"
              >Options</ActionMenu
            >
          </template>
        </div>
        <p v-if="failure" role="alert" class="font-semibold">{{ failure }}</p>
        <PageStrip
          v-if="hasStrip && context && page !== SCATTER"
          :context="context"
          :pages="pages"
          :chosen="page"
          @choose="page = $event"
        />
        <div v-if="page === SCATTER" class="min-h-0 flex-1 border border-ink bg-surround">
          <ScatterSheet
            v-if="take.evaluation"
            :evaluation="take.evaluation"
            :arrangement="arrangement"
          />
        </div>
        <ProofBeside
          v-else-if="context && chosen.length"
          :context="context"
          :name="take.take?.name ?? ''"
          :others="chosen"
          :width="width"
          :slides="slides && chosen.length === 1"
        />
        <div
          v-else
          ref="stage"
          class="flex min-h-0 flex-1 justify-center border border-ink bg-surround max-[900px]:min-h-140"
          data-testid="stage"
        >
          <ProofFrame
            v-if="context && room.width.value"
            ref="frame"
            :context="context"
            :title="`${pageName} of ${context.brand}`"
            :width="width"
            :scale="scale"
            :height="room.height.value"
            :chosen="isFullscreen ? undefined : selected"
            :outlined="isOutlined"
            picks
            :most-typed="vocabulary?.most_words"
            :marks="marks"
            @mark="openMark"
            @pick="pick"
            @say="say"
            @hover="hovered = $event"
            @drawn="read"
          />
        </div>
        <p class="h-5 truncate text-quiet" data-testid="pointed">
          <template v-if="pointed"
            >{{ pointed.name }}: {{ pointed.use.name }},
            <span class="value">{{ formatRatio(pointed.use.ratio) }}:1</span> of
            {{ pointed.use.needed }}</template
          >
          <template v-else-if="page !== SCATTER && !chosen.length"
            >Point at an element to see its contrast. Click it to change its colour.</template
          >
        </p>
      </template>
    </div>
    <SidePanel>
      <TabGroup
        v-if="!take.isEmpty && figures && vocabulary && page !== SCATTER"
        :selected-index="tab"
        @change="tab = $event"
      >
        <TabList class="mb-3 flex border border-ink" aria-label="What to change">
          <Tab
            v-for="name in TABS"
            :key="name"
            v-slot="{ selected: isOpen }"
            class="flex-1 border-ink -outline-offset-3 not-first:border-l"
            ><span class="block px-1 py-1 font-semibold" :class="isOpen && 'bg-ink text-sheet'">{{
              name
            }}</span></Tab
          >
        </TabList>
        <TabPanels>
          <TabPanel>
            <PartRemarks
              v-if="brand.detail"
              :page="page"
              :part="part?.name"
              :brand-id="brand.detail.brand.id"
              @choose="choose"
            />
            <PartInspector
              v-if="part"
              :key="part.name"
              :part="part"
              :proof="figures"
              :page="page"
              :element="element"
              :most="vocabulary.most_words"
              @close="select(undefined)"
            />
            <template v-else>
              <h2 class="text-title leading-tight">{{ pageName }}</h2>
              <p class="font-semibold" data-testid="short-parts">
                <template v-if="parts.length">
                  {{ parts.length }} elements,
                  {{ short.length ? `${short.length.toString()} fail` : 'all pass' }}
                </template>
                <template v-else>Drawing the page…</template>
              </p>
              <TradeQuestion :proof="figures" :vocabulary="vocabulary" />
              <LogoNotice :proof="figures" :page="page" />
              <PaintedShares
                v-if="take.evaluation"
                :painted="painted"
                :proof="figures"
                :evaluation="take.evaluation"
                :vocabulary="vocabulary"
              />
              <details class="mt-3" :open="isOutlined">
                <summary class="font-semibold">All elements</summary>
                <PartList :parts="parts" :proof="figures" :short="isOutlined" @choose="choose" />
              </details>
            </template>
          </TabPanel>
          <TabPanel>
            <GroundPanel
              :proof="figures"
              :counts="counts"
              :most="vocabulary.most_grounds"
              :chosen="clicked"
            />
            <SectionPanel
              v-for="one in pages.filter((each) => each.id === page)"
              :key="one.id"
              :page="one"
              :voices="vocabulary.voices"
              :proof="figures"
            />
          </TabPanel>
          <TabPanel><TypePanel :proof="figures" :vocabulary="vocabulary" /></TabPanel>
          <TabPanel>
            <WordsPanel :proof="figures" :vocabulary="vocabulary" />
            <MaterialPanel class="mt-4" :proof="figures" />
          </TabPanel>
        </TabPanels>
      </TabGroup>
      <PlannedShares
        v-else-if="page === SCATTER && take.evaluation"
        :evaluation="take.evaluation"
      />
    </SidePanel>
  </main>
</template>
