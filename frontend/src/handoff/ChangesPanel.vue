<script setup lang="ts">
import { ref, watch } from 'vue'
import { api, answerOf } from '@/api/client'
import { fetchFile } from '@/ui/fetchFile'
import { useCopy } from '@/ui/useCopy'
import { useFollowing } from '@/ui/useFollowing'
import { useBrandStore } from '@/take/brand'
import { useTakeStore } from '@/take/take'
import ChangeTable from './ChangeTable.vue'
import StatePicker from './StatePicker.vue'
import { NOW, textOf, type State } from './states'

/** What changed between any two versions or takes; at first since what was handed off last, or before that. */
const take = useTakeStore()
const brand = useBrandStore()
const { copyValue, isCopied } = useCopy()

/** Nobody has chosen yet what is compared. */
let isFirst = false
const before = ref<State>()
const after = ref<State>()
const { answer: handed } = useFollowing(
  () => take.take?.id,
  (take_id, signal) =>
    answerOf(api.GET('/api/takes/{take_id}/handed', { params: { path: { take_id } }, signal })),
)
watch(
  [() => take.take?.id, handed],
  ([id, found]) => {
    if (!id || !found) return
    const [last] = found.versions
    before.value = { take: id, version: last?.toString() ?? NOW }
    after.value = { take: id, version: NOW }
    isFirst = true
  },
  { immediate: true },
)
const { answer: found, problem } = useFollowing(
  () => {
    const id = brand.detail?.brand.id
    // What is saved is compared: a new revision is asked for again.
    const revision = take.take?.revision
    return id && before.value && after.value
      ? { id, revision, before: textOf(before.value), after: textOf(after.value) }
      : undefined
  },
  ({ id, ...query }, signal) =>
    answerOf(
      api.GET('/api/brands/{brand_id}/changes', {
        params: { path: { brand_id: id }, query: { before: query.before, after: query.after } },
        signal,
      }),
    ),
)

/** Where nothing changed since, whoever comes wants to know what was new in it. */
watch(found, (now) => {
  const earlier = handed.value?.versions[1]
  if (isFirst && now && !now.lines.length && earlier && before.value)
    before.value = { ...before.value, version: earlier.toString() }
  if (now) isFirst = false
})

function download() {
  if (!before.value || !after.value) return
  const query = new URLSearchParams({
    before: textOf(before.value),
    after: textOf(after.value),
  })
  fetchFile(`/api/brands/${brand.detail?.brand.id ?? ''}/changes/pdf?${query.toString()}`)
}
</script>

<template>
  <section class="max-w-220" aria-label="Changes">
    <div v-if="before && after" class="flex flex-col gap-2">
      <StatePicker v-model="before" label="From" />
      <StatePicker v-model="after" label="To" />
    </div>
    <p v-if="problem" role="alert" class="mt-3 font-semibold">{{ problem }}</p>
    <template v-if="found">
      <div class="mt-3 flex flex-wrap gap-2">
        <button type="button" class="button" @click="copyValue(found.text, 'changes')">
          {{ isCopied('changes') ? 'Copied' : 'Copy as text' }}
        </button>
        <button type="button" class="button" @click="copyValue(found.markdown, 'markdown')">
          {{ isCopied('markdown') ? 'Copied' : 'Copy as Markdown' }}
        </button>
        <button type="button" class="button" @click="download">Download PDF</button>
      </div>
      <div data-testid="changes">
        <p v-if="!found.lines.length" class="mt-4">
          Nothing changed between {{ found.before }} and {{ found.after }}.
        </p>
        <ChangeTable v-else :lines="found.lines" />
      </div>
    </template>
  </section>
</template>
