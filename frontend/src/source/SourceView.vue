<script setup lang="ts">
import { computed, onMounted, ref, toRef } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { explain } from '@/api/client'
import type { Choice, Source } from '@/api/types'
import InspectorPanel from '@/page/InspectorPanel.vue'
import NoticeBar from '@/ui/NoticeBar.vue'
import RenameDialog from '@/ui/RenameDialog.vue'
import SixSteps from './SixSteps.vue'
import BuildBar from './BuildBar.vue'
import EmptySource from './EmptySource.vue'
import FoundColors from './FoundColors.vue'
import ListSource from './ListSource.vue'
import MoodDialog from './MoodDialog.vue'
import SourceNotes from './SourceNotes.vue'
import MoodSource from './MoodSource.vue'
import PictureSource from './PictureSource.vue'
import ReplaceDialog from './ReplaceDialog.vue'
import SourceRail from './SourceRail.vue'
import StartChoice from './StartChoice.vue'
import StylesheetSource from './StylesheetSource.vue'
import SuggestedStart from './SuggestedStart.vue'
import { useAdoption } from './useAdoption'
import { useReplacing } from './useReplacing'
import { useStarts } from './useStarts'
import { useScreenPicker } from './useScreenPicker'
import { useProposal } from './useProposal'
import type { Offer } from './useProposal'
import { stylesheetDetails } from './stylesheetDetails'
import { useSelection } from '@/take/useSelection'
import { usePick } from '@/page/usePick'
import { useBrandStore } from '@/take/brand'
import { useTakeStore } from '@/take/take'

defineProps<{ isOver: boolean }>()
const emit = defineEmits<{ files: [files: File[]]; paste: [text: string] }>()
const brand = useBrandStore()
const route = useRoute()
const router = useRouter()
const take = useTakeStore()
const { selected, select } = useSelection('source')
const screen = useScreenPicker()
const showsMood = ref(false)
const renamed = ref<Source>()

const sources = computed(() => brand.detail?.sources ?? [])
const source = computed(
  () => sources.value.find((one) => one.id === selected.value) ?? sources.value[0],
)
const {
  offers,
  proposal,
  answeredBody,
  start,
  current,
  leaveOutGround,
  isBuilt,
  isAsProposed,
  choose,
} = useProposal(
  source,
  toRef(() => take.document),
)
const { starts } = useStarts(
  proposal,
  answeredBody,
  start,
  toRef(() => take.document),
)
const adoption = useAdoption(source)
const replacing = useReplacing(select)
const replacement = ref<HTMLInputElement>()
function replace(old: Source) {
  replacing.asked(old)
  replacement.value?.click()
}
const { pickSwatch } = usePick()
/** Before anything is built, the page is that of the proposal. */
const pageDocument = computed(() => (take.isEmpty ? proposal.value?.document : take.shown))
const roles = computed(() => proposal.value?.roles.map((one) => one.role) ?? [])
const details = computed(() => stylesheetDetails(source.value?.stylesheet))

function become(offer: Offer, choice: Choice) {
  if (isBuilt.value) adoption.become(offer, choice)
  else choose(offer.color.hex, choice)
}

/** Rebuilding replaces everything, so that what was there is kept as a version first. */
async function build() {
  const from = take.begin()
  const built = await current()
  if (!built || isAsProposed.value) return
  try {
    if (isBuilt.value)
      await take.cutBefore(from, `Before rebuilding from ${source.value?.name ?? ''}`.slice(0, 200))
  } catch (reason) {
    adoption.refusal.value = explain(reason)
    return
  }
  take.edit(from, (document) => ({ ...built, harmony: document.harmony }))
}

async function keepAndShow(work: Promise<Source | undefined>) {
  const kept = await work
  if (kept) select(kept.id)
}

/** Whoever came from the list of brands to start with colours or a mood finds that form open. */
onMounted(() => {
  const { start, ...query } = route.query
  if (start === 'mood') showsMood.value = true
  else if (start === 'list') emit('paste', '')
  if (start) void router.replace({ query })
})

const marked = ref('')
async function pickPixel(hex: string, name: string) {
  await adoption.pick(hex, name)
  marked.value = hex
}

async function pickScreen() {
  const hex = await screen.pick()
  if (hex) await keepAndShow(brand.addText(hex))
}
</script>

<template>
  <main class="grid grid-cols-[196px_minmax(0,1fr)_292px] max-[900px]:grid-cols-1">
    <SourceRail
      :sources="sources"
      :selected="source?.id"
      :reading="brand.reading"
      :picks-screen="screen.isSupported.value"
      @select="select"
      @files="emit('files', $event)"
      @cancel="brand.cancelReading()"
      @paste="emit('paste', '')"
      @mood="showsMood = true"
      @screen="pickScreen"
      @rename="renamed = $event"
      @replace="replace"
      @remove="brand.remove($event)"
    />
    <div
      class="relative flex min-h-0 flex-col gap-2.5 overflow-y-auto p-4 pt-3 max-[900px]:overflow-visible"
      tabindex="0"
      role="region"
      aria-label="The source and its colours"
    >
      <template v-if="!source">
        <EmptySource
          :is-over="isOver"
          @files="emit('files', $event)"
          @paste="emit('paste', '')"
          @mood="showsMood = true"
        />
        <SixSteps v-if="take.isEmpty" />
      </template>
      <template v-else>
        <BuildBar
          v-if="proposal"
          :is-built="isAsProposed"
          :failing="take.failing"
          :replaces="!take.isEmpty"
          @build="build"
        />
        <StartChoice
          v-if="proposal && starts.length"
          :model-value="proposal.start"
          :starts="starts"
          @update:model-value="start = $event"
        />
        <PictureSource
          v-if="source.image"
          v-model:leave-out-ground="leaveOutGround"
          :source="source"
          :is-over="isOver"
          @read="brand.readAgain(source, $event)"
          @pick="pickPixel"
        />
        <StylesheetSource
          v-if="source.stylesheet"
          :source="source"
          @read="brand.readAgain(source, $event)"
        >
          <FoundColors
            :key="source.id"
            :offers="offers"
            :roles="roles"
            :details="details"
            has-shares
            is-held
            @choose="become"
            @drop="adoption.drop($event.color.hex)"
          />
        </StylesheetSource>
        <ListSource v-if="source.list" :source="source" />
        <MoodSource v-if="source.mood" :source="source" />
        <SourceNotes v-if="!source.stylesheet" :notes="source.notes" />
        <FoundColors
          v-if="!source.stylesheet"
          :key="source.id"
          :marked="marked"
          :offers="offers"
          :roles="roles"
          :has-shares="source.kind !== 'list'"
          :is-held="source.kind !== 'mood'"
          @choose="become"
          @drop="adoption.drop($event.color.hex)"
        />
      </template>
      <NoticeBar
        v-if="adoption.refusal.value"
        class="sticky bottom-0"
        :text="adoption.refusal.value"
        @dismiss="adoption.refusal.value = ''"
      />
      <NoticeBar
        v-if="replacing.problem.value && !replacing.replaced.value"
        class="sticky bottom-0"
        :text="replacing.problem.value"
        @dismiss="replacing.dismiss()"
      />
      <NoticeBar
        v-if="brand.removed"
        class="sticky bottom-0"
        :text="`${brand.removed.name} was removed. Swatches that came from it stay.`"
        @dismiss="brand.forgetRemoved()"
      >
        <button type="button" class="button" @click="brand.restore()">Restore</button>
      </NoticeBar>
    </div>
    <InspectorPanel
      view="source"
      own="Start"
      first="own"
      :document="pageDocument"
      :note="take.isEmpty ? 'the suggested start' : ''"
      @pick="pickSwatch"
    >
      <SuggestedStart v-if="proposal && source" :proposal="proposal" :kind="source.kind" />
      <template v-else-if="!source">
        <h2 class="text-title">How this works</h2>
        <p class="mt-2">
          Colours from the artwork are held: only you can change them. Backgrounds and text are
          derived from Primary so that they pass.
        </p>
      </template>
    </InspectorPanel>
    <MoodDialog
      v-model="showsMood"
      @keep="(words, field) => keepAndShow(brand.addMood(words, field))"
    />
    <ReplaceDialog :replacing="replacing" />
    <input
      ref="replacement"
      type="file"
      class="hidden"
      multiple
      aria-label="The new file"
      data-testid="replacement"
      @change="replacing.picked"
    />
    <RenameDialog
      :model-value="renamed !== undefined"
      title="Rename the source"
      :name="renamed?.name ?? ''"
      :longest="200"
      @update:model-value="renamed = undefined"
      @rename="renamed && brand.rename(renamed, $event)"
    />
  </main>
</template>
