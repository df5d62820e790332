<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api, explain, ProblemError } from '@/api/client'
import type { Source } from '@/api/types'
import ConflictBar from './ConflictBar.vue'
import LookingBar from './LookingBar.vue'
import MeasureBar from './MeasureBar.vue'
import StepBar from './StepBar.vue'
import TakeHeader from './TakeHeader.vue'
import NoticeBar from '@/ui/NoticeBar.vue'
import { NotationSheet, PasteDialog } from './laterParts'
import { useWanted } from '@/ui/useWanted'
import { useNotations } from '@/take/useNotations'
import { useQuestion, useUnanswered } from '@/ui/useAnswer'
import { useCameBackStore } from '@/remarks/cameBack'
import { useEvents } from '@/ui/useEvents'
import { useShortfallNews } from './useShortfallNews'
import { useColorDrag } from '@/page/useColorDrag'
import { useCopy } from '@/ui/useCopy'
import { useFileIntake } from '@/source/useFileIntake'
import { useOpenedFilesStore } from '@/take/openedFiles'
import { useOpening } from './useOpening'
import { roleLabel } from '@/take/roles'
import { useBrandStore } from '@/take/brand'
import { useTakeStore } from '@/take/take'

const props = defineProps<{ brandId: string; takeId: string }>()
const brand = useBrandStore()
const take = useTakeStore()
const router = useRouter()
const { announcement } = useCopy()
const news = useShortfallNews()
const { carried } = useColorDrag()
const ontoName = computed(() => roleLabel(take.document?.roles ?? [], carried.value?.onto ?? ''))
const unanswered = useUnanswered()
const cameBack = useCameBackStore()
const question = useQuestion(readCameBack)
async function readCameBack() {
  try {
    await cameBack.read(take.take?.id)
    question.answered()
  } catch (reason) {
    question.failed(reason)
  }
}
watch(() => take.take?.id, readCameBack, { immediate: true })
useEvents('/api/reviews/events', () => void readCameBack())
const failure = ref('')
/** What was deleted and can be brought back: the take, or the whole brand. */
const deleted = ref<'take' | 'brand'>()

async function openTake() {
  const { brandId, takeId } = props
  failure.value = ''
  deleted.value = undefined
  try {
    await Promise.all([brand.open(brandId), take.open(takeId)])
  } catch (reason) {
    // Another one was chosen meanwhile: this failure is of nothing that is shown.
    if (takeId !== props.takeId || brandId !== props.brandId) return
    failure.value = explain(reason)
    if (reason instanceof ProblemError && reason.problem.status === 410)
      deleted.value = reason.problem.restoration?.startsWith('/api/brands/') ? 'brand' : 'take'
  }
}
watch(() => [props.brandId, props.takeId], openTake, { immediate: true })

async function bringBack() {
  try {
    const [brand_id, take_id] = [props.brandId, props.takeId]
    if (deleted.value === 'brand')
      await api.POST('/api/brands/{brand_id}/restoration', { params: { path: { brand_id } } })
    else await api.POST('/api/takes/{take_id}/restoration', { params: { path: { take_id } } })
  } catch (reason) {
    failure.value = explain(reason)
    return
  }
  await openTake()
}

/** What is read from anywhere opens in Source. */
async function open(work: Promise<Source | undefined>) {
  const source = await work
  if (source) await router.push({ name: 'source', query: { source: source.id } })
}
const opened = useOpenedFilesStore()
const { openOwn } = useOpening()
async function read(files: File[]) {
  if (!(await openOwn(files))) await open(brand.addFiles(files))
}

/** Past the header, the takes and the steps. */
function skip() {
  document.getElementById('view')?.focus()
}

const pasted = ref('')
const showsPaste = ref(false)
const { open: notationsOf } = useNotations()
const wantsNotations = useWanted(computed(() => notationsOf.value !== undefined))
const wantsPaste = useWanted(showsPaste)
function paste(text: string) {
  pasted.value = text
  showsPaste.value = true
}
const { isOver } = useFileIntake(read, paste)
const isReady = computed(() => brand.detail && take.document)
</script>

<template>
  <div
    class="frame grid h-dvh grid-cols-[minmax(0,1fr)] grid-rows-[auto_auto_1fr_auto] max-[900px]:h-auto max-[900px]:min-h-dvh max-[900px]:pb-14"
  >
    <a
      href="#view"
      class="button-solid sr-only focus:not-sr-only focus:absolute focus:top-2 focus:left-2 focus:z-50"
      @click.prevent="skip"
      >Skip to the view</a
    >
    <div>
      <TakeHeader />
      <ConflictBar />
      <LookingBar />
      <NoticeBar v-if="opened.missing" :text="opened.missing" @dismiss="opened.forget()" />
      <NoticeBar
        v-if="take.changeProblem"
        :text="take.changeProblem"
        @dismiss="take.changeProblem = ''"
      />
    </div>
    <StepBar />
    <div v-if="failure" class="p-6">
      <p role="alert" class="mb-3 text-title">{{ failure }}</p>
      <div class="flex gap-2">
        <button v-if="deleted" type="button" class="button-solid" @click="bringBack">
          Restore
        </button>
        <button v-else type="button" class="button-solid" @click="openTake">Try again</button>
        <RouterLink to="/" class="button">All brands</RouterLink>
      </div>
    </div>
    <RouterView v-else-if="isReady" v-slot="{ Component }">
      <component
        :is="Component"
        id="view"
        tabindex="-1"
        :is-over="isOver"
        class="min-h-0 outline-none"
        @files="read"
        @paste="paste"
      />
    </RouterView>
    <p v-else class="p-6 text-quiet" role="status">Opening…</p>
    <MeasureBar />
    <div
      v-if="carried"
      class="keeps-color pointer-events-none fixed z-50 h-7 w-7 border-2 border-ink"
      :style="{
        left: `${carried.x + 8}px`,
        top: `${carried.y + 8}px`,
        backgroundColor: carried.hex,
      }"
      aria-hidden="true"
    >
      <span
        v-if="carried.onto"
        class="absolute top-7 left-0 border border-ink bg-sheet px-1.5 font-semibold whitespace-nowrap text-ink"
        >{{ carried.swaps ? `Swap with ${ontoName}` : ontoName }}</span
      >
    </div>
    <NoticeBar
      v-if="take.replayProblem"
      class="fixed inset-x-4 bottom-32 z-30 mx-auto max-w-180"
      :text="take.replayProblem"
      @dismiss="take.dismissReplayProblem()"
    />
    <NoticeBar
      v-else-if="brand.problem"
      class="fixed inset-x-4 bottom-32 z-30 mx-auto max-w-180"
      :text="brand.problem"
      @dismiss="brand.dismiss()"
    />
    <NoticeBar
      v-else-if="unanswered.problem.value"
      class="fixed inset-x-4 bottom-32 z-30 mx-auto max-w-180"
      :text="unanswered.problem.value"
      again
      @again="unanswered.askAgain()"
    />
    <PasteDialog
      v-if="wantsPaste"
      v-model="showsPaste"
      :initial="pasted"
      @keep="open(brand.addText($event))"
      @file="open(brand.addFiles([$event], 'list'))"
    />
    <NotationSheet v-if="wantsNotations" />
    <p class="sr-only" role="status">{{ announcement }}</p>
    <p class="sr-only" role="status" data-testid="news">{{ news }}</p>
  </div>
</template>
