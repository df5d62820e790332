<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { api, explain, answerOf } from '@/api/client'
import type { ListedVersion } from '@/api/types'
import SidePanel from '@/panel/SidePanel.vue'
import NoticeBar from '@/ui/NoticeBar.vue'
import ChangeList from './ChangeList.vue'
import VersionCard from './VersionCard.vue'
import { useCameBackStore } from '@/remarks/cameBack'
import { asKept } from '@/take/scheme'
import { useTakeStore } from '@/take/take'
import { useFollowing } from '@/ui/useFollowing'
import { usePages } from '@/ui/usePages'

defineProps<{ isOver: boolean }>()
defineEmits<{ files: [files: File[]]; paste: [text: string] }>()
const take = useTakeStore()
const route = useRoute()
const cameBack = useCameBackStore()
const note = ref('')
const problem = ref('')
const {
  items: versions,
  isLoading,
  hasMore,
  reload,
  more,
} = usePages(async (before: number | null, signal) => {
  const path = { take_id: take.take?.id ?? '' }
  const found = await answerOf(
    api.GET('/api/takes/{take_id}/versions', { params: { path, query: { before } }, signal }),
  )
  return { items: found.versions, next: found.next }
})
watch(
  () => take.take?.id,
  async (id) => {
    if (id) await reload()
  },
  { immediate: true },
)

/** The one in the address, also where it is on no page yet; else the newest. */
const number = computed(() => Number(route.params.number) || versions.value?.[0]?.number)
const { answer: shown } = useFollowing(
  () => (take.take && number.value ? { take_id: take.take.id, number: number.value } : undefined),
  readVersion,
  { isShared: true },
)
function readVersion(path: { take_id: string; number: number }, signal?: AbortSignal) {
  return answerOf(api.GET('/api/takes/{take_id}/versions/{number}', { params: { path }, signal }))
}

async function cut(text: string) {
  problem.value = ''
  try {
    await take.cutVersion(text)
    note.value = ''
    await reload()
  } catch (reason) {
    problem.value = explain(reason)
  }
}

/** Every view shows the version then, read-only, until one goes back. */
async function look(version: ListedVersion) {
  const id = take.take?.id
  if (!id) return
  problem.value = ''
  try {
    const { document } = await readVersion({ take_id: id, number: version.number })
    const { number: which, description } = version
    if (id === take.take?.id) take.look({ number: which, description, document })
  } catch (reason) {
    problem.value = explain(reason)
  }
}

/** Restoring makes a new state of an old one; what is there now is cut as a version first. */
async function restore(version: ListedVersion) {
  const id = take.take?.id
  if (!id) return
  take.look(undefined)
  problem.value = ''
  const from = take.begin()
  try {
    const { document } = await readVersion({ take_id: id, number: version.number })
    await take.cutBefore(from, `Before going back to version ${version.number.toString()}`)
    take.change(document)
    note.value = ''
    await reload()
  } catch (reason) {
    problem.value = explain(reason)
  }
}
</script>

<template>
  <main class="grid grid-cols-[minmax(0,1fr)_292px] max-[900px]:grid-cols-1">
    <div
      class="min-h-0 overflow-y-auto p-4 pt-3"
      tabindex="0"
      role="region"
      aria-label="Versions of this take"
    >
      <form class="flex gap-2" @submit.prevent="cut(note)">
        <label class="sr-only" for="version-note">Description of the version</label>
        <input
          id="version-note"
          v-model="note"
          class="field max-w-100"
          maxlength="200"
          placeholder="A description, such as “shown to the board”"
          autocomplete="off"
        />
        <button class="button-solid">Save a version</button>
      </form>
      <NoticeBar v-if="problem" class="mt-2" :text="problem" @dismiss="problem = ''" />
      <p v-if="versions?.length === 0" class="mt-4 max-w-120 text-quiet">
        No versions yet. A version is a snapshot with its own address; it never changes. Tonada
        saves one before big changes.
      </p>
      <ol class="mt-3 border-t border-ink" data-testid="versions">
        <li v-for="version in versions" :key="version.number">
          <VersionCard
            :version="version"
            :is-shown="number === version.number"
            :is-looked-at="take.looking?.number === version.number"
            :approved-by="cameBack.approvals.find((one) => one.version === version.number)?.who"
            @look="look(version)"
            @restore="restore(version)"
          />
        </li>
      </ol>
      <button v-if="hasMore" type="button" class="button mt-3" :disabled="isLoading" @click="more">
        Show older versions
      </button>
    </div>
    <SidePanel>
      <ChangeList
        v-if="shown && take.now"
        :title="`From version ${shown.number} to now`"
        :before="shown.document"
        :after="asKept(take.now)"
      />
    </SidePanel>
  </main>
</template>
