<script setup lang="ts">
import { computed } from 'vue'
import { api, answerOf } from '@/api/client'
import type { FileKind, FileOptions, HandoffVocabulary } from '@/api/types'
import { useCopy } from '@/ui/useCopy'
import SheetPreview from './SheetPreview.vue'
import { useFollowing } from '@/ui/useFollowing'
import { asKept } from '@/take/scheme'
import { useBrandStore } from '@/take/brand'
import { useTakeStore } from '@/take/take'

/** Every file with what it would hold; what is downloaded is a version. */
const props = defineProps<{ vocabulary: HandoffVocabulary; options: FileOptions }>()
const emit = defineEmits<{ download: [kind: FileKind, name: string] }>()
const kind = defineModel<FileKind>({ required: true })
const take = useTakeStore()
const brand = useBrandStore()
const { copyValue, isCopied } = useCopy()

const format = computed(() => props.vocabulary.formats.find((one) => one.kind === kind.value))
/** The client's sheet is shown as it is printed. */
const isSheet = computed(() => kind.value === 'pdf' || kind.value === 'html')
const body = computed(() => {
  const document = take.document
  if (!document) return undefined
  return {
    document: asKept(document),
    kind: kind.value,
    options: { ...props.options },
    brand: brand.detail?.brand.name ?? 'Brand',
    voice: brand.detail?.voice ?? null,
    brand_id: brand.detail?.brand.id ?? null,
    take: take.take?.name ?? 'Take',
  }
})
const { answer: preview, problem } = useFollowing(
  () => (format.value?.is_text && !isSheet.value ? body.value : undefined),
  (body, signal) => answerOf(api.POST('/api/handoff/preview', { body, signal })),
  { wait: 120 },
)
const size = computed(() => {
  const bytes = preview.value?.size ?? 0
  return bytes < 2048 ? `${bytes.toString()} bytes` : `${Math.round(bytes / 1024).toString()} KB`
})
</script>

<template>
  <div
    class="grid min-h-0 flex-1 grid-cols-[232px_minmax(0,1fr)] border border-ink bg-sheet max-[900px]:grid-cols-1"
  >
    <ul class="overflow-y-auto border-r border-hair" aria-label="Files">
      <li v-for="one in vocabulary.formats" :key="one.kind">
        <button
          type="button"
          class="block w-full border-b border-hair px-3 py-1.5 text-left -outline-offset-3"
          :class="one.kind === kind && 'bg-ink text-sheet'"
          :aria-current="one.kind === kind"
          @click="kind = one.kind"
        >
          <span class="block font-semibold">{{ one.name }}</span>
          <span class="text-small" :class="one.kind !== kind && 'text-quiet'">{{ one.note }}</span>
        </button>
      </li>
    </ul>
    <div v-if="format" class="flex min-h-0 min-w-0 flex-col">
      <div class="flex items-center gap-2 border-b border-hair px-3 py-2">
        <h2 class="min-w-0 flex-1 truncate text-title">{{ format.name }}</h2>
        <span v-if="preview && !isSheet" class="text-quiet">{{ size }}</span>
        <button
          v-if="preview && !isSheet && !preview.cut"
          type="button"
          class="button"
          @click="copyValue(preview.text, 'whole file')"
        >
          {{ isCopied('whole file') ? 'Copied' : 'Copy all' }}
        </button>
        <button type="button" class="button-solid" @click="emit('download', kind, format.name)">
          Download
        </button>
      </div>
      <p v-if="problem" role="alert" class="p-3 font-semibold">{{ problem }}</p>
      <SheetPreview v-else-if="isSheet && body" :body="body" />
      <pre
        v-else-if="preview"
        class="value min-h-0 flex-1 overflow-auto p-3 text-small"
        tabindex="0"
        role="region"
        :aria-label="`${format.name}, preview`"
        data-testid="preview"
        >{{ preview.text }}{{ preview.cut ? '…' : '' }}</pre>
      <p v-else class="max-w-130 p-4 text-quiet">
        <template v-if="format.kind === 'zip'"
          >All the files at once: stylesheets, tokens, lists, pictures, and the sheets for the
          client. The options name and write the values.</template
        >
        <template v-else-if="format.kind === 'modes'"
          >Two files of design tokens, day and night, with the same names in both: for tools that
          keep a file for each mode.</template
        >
        <template v-else-if="format.kind === 'pptx'"
          >A presentation whose theme has the colours and typefaces of the brand, with a title slide
          and one of text, table and chart. New slides in it take the colours from the
          theme.</template
        >
        <template v-else-if="format.kind === 'icons'"
          >The icon of a tab, the icons of an app and the tile that is shown with a link, as SVG and
          PNG: of a logo that is nearly square, else of the name’s first letter. The Board in Proof
          shows how they look.</template
        >
        <template v-else-if="format.kind === 'png'"
          >A picture of the swatches with their names and values.</template
        >
      </p>
    </div>
  </div>
</template>
