<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { api, answerOf } from '@/api/client'
import type { FileKind, FileOptions } from '@/api/types'
import PaletteLink from '@/review/designer/PaletteLink.vue'
import EmptyStep from '@/ui/EmptyStep.vue'
import SidePanel from '@/panel/SidePanel.vue'
import ChangesPanel from './ChangesPanel.vue'
import FileOptionsPanel from './FileOptionsPanel.vue'
import FilePanel from './FilePanel.vue'
import RecolourPanel from './RecolourPanel.vue'
import SlotSheet from './SlotSheet.vue'
import { useHandoff } from './useHandoff'
import ValueTable from './ValueTable.vue'
import VersionNote from './VersionNote.vue'
import NoticeBar from '@/ui/NoticeBar.vue'
import RadioBar from '@/ui/RadioBar.vue'
import { useTakeStore } from '@/take/take'
import { useAnswer } from '@/ui/useAnswer'

defineProps<{ isOver: boolean }>()
defineEmits<{ files: [files: File[]]; paste: [text: string] }>()
const take = useTakeStore()
const route = useRoute()
const router = useRouter()

const { answer: vocabulary } = useAnswer(() => answerOf(api.GET('/api/handoff')))

const PARTS = [
  { value: 'values', label: 'Values' },
  { value: 'files', label: 'Files' },
  { value: 'slots', label: 'Slot sheet' },
  { value: 'recolour', label: 'Recolour a stylesheet' },
  { value: 'changes', label: 'What changed' },
] as const
type Part = (typeof PARTS)[number]['value']
const part = computed<Part>({
  get: () => PARTS.find((one) => one.value === route.params.part)?.value ?? 'values',
  set: (value) => void router.replace({ params: { part: value }, query: route.query }),
})

const kind = ref<FileKind>('css')
const options = useLocalStorage<FileOptions>(
  'tonada-file-options',
  {
    roles: true,
    texts: true,
    swatches: true,
    steps: false,
    grounds: false,
    overlays: true,
    night: true,
    dark: 'media',
    fallback: false,
    hex_tokens: false,
    naming: 'kebab',
    notation: 'hex',
    prefix: '',
    paper: 'A4',
    press: '',
    page_values: false,
    page_steps: false,
    page_grounds: false,
    page_pairs: false,
  },
  // What was kept before an option was there has no value for it.
  { mergeDefaults: true },
)
const { newest, isCut, problem, download, downloadRecoloured, downloadSlots, versionToHand } =
  useHandoff()
const format = computed(() => vocabulary.value?.formats.find((one) => one.kind === kind.value))
</script>

<template>
  <main class="grid grid-cols-[minmax(0,1fr)_292px] max-[900px]:grid-cols-1">
    <h2 class="sr-only">Handoff: values and files</h2>
    <div
      class="flex min-h-0 flex-col gap-3 overflow-y-auto px-4 py-3"
      tabindex="0"
      role="region"
      aria-label="Handoff"
    >
      <EmptyStep
        v-if="take.isEmpty"
        title="Nothing to hand off yet"
        text="Build a palette first; then copy or download it here."
      />
      <template v-else>
        <RadioBar v-model="part" class="self-start" label="Handoff type" :options="PARTS" />
        <NoticeBar v-if="problem" :text="problem" @dismiss="problem = ''" />
        <template v-if="vocabulary">
          <div v-if="part === 'values' && take.evaluation">
            <ValueTable :evaluation="take.evaluation" :vocabulary="vocabulary" />
          </div>
          <FilePanel
            v-else-if="part === 'files'"
            v-model="kind"
            :vocabulary="vocabulary"
            :options="options"
            @download="(one, name) => download(one, name, options)"
          />
          <div v-else-if="part === 'slots'">
            <SlotSheet :vocabulary="vocabulary" @download="downloadSlots" />
          </div>
          <div v-else-if="part === 'recolour'">
            <RecolourPanel @download="downloadRecoloured" />
          </div>
          <div v-else-if="part === 'changes'"><ChangesPanel /></div>
        </template>
      </template>
    </div>
    <SidePanel>
      <template v-if="!take.isEmpty">
        <VersionNote :newest="newest" :is-cut="isCut" @cut="versionToHand('a version')" />
        <PaletteLink v-if="part === 'values'" :key="take.take?.id" />
        <FileOptionsPanel
          v-if="part === 'files' && vocabulary"
          v-model="options"
          class="mt-4"
          :format="format"
          :vocabulary="vocabulary"
        />
      </template>
    </SidePanel>
  </main>
</template>
