<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import { api, explain, given } from '@/api/client'
import type { Version } from '@/api/types'
import InspectorPanel from '@/frame/InspectorPanel.vue'
import NoticeBar from '@/ui/NoticeBar.vue'
import ChangeList from './ChangeList.vue'
import VersionCard from './VersionCard.vue'
import { asKept } from '@/take/scheme'
import { useTakeStore } from '@/take/take'

defineProps<{ isOver: boolean }>()
defineEmits<{ files: [files: File[]]; paste: [text: string] }>()
const take = useTakeStore()
const route = useRoute()
const versions = shallowRef<Version[]>()
const note = ref('')
const problem = ref('')

async function load() {
  const id = take.take?.id
  if (!id) return
  try {
    const path = { take_id: id }
    versions.value = (
      await given(api.GET('/api/takes/{take_id}/versions', { params: { path } }))
    ).versions
  } catch (reason) {
    problem.value = explain(reason)
  }
}
watch(() => take.take?.id, load, { immediate: true })

const shown = computed(() => {
  const number = Number(route.params.number)
  return versions.value?.find((one) => one.number === number) ?? versions.value?.[0]
})

async function cut(text: string, isAutomatic = false) {
  problem.value = ''
  try {
    await take.cutVersion(text, isAutomatic)
    note.value = ''
    await load()
  } catch (reason) {
    problem.value = explain(reason)
  }
}

/** Restoring makes a new state of an old one; what is there now is cut as a version first. */
async function restore(version: Version) {
  await cut(`Before going back to version ${version.number}`, true)
  if (!problem.value) take.change(version.document)
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
        <label class="sr-only" for="version-note">Note for the version</label>
        <input
          id="version-note"
          v-model="note"
          class="field max-w-100"
          maxlength="200"
          placeholder="What this state is, such as “shown to the board”"
          autocomplete="off"
        />
        <button class="button-solid">Cut a version</button>
      </form>
      <NoticeBar v-if="problem" class="mt-2" :text="problem" @dismiss="problem = ''" />
      <p v-if="versions?.length === 0" class="mt-4 max-w-120 text-quiet">
        There are no versions yet. A version is one saved state with a number and an address of its
        own, never changed afterwards. One is cut by itself before something large.
      </p>
      <ol class="mt-3 border-t border-ink" data-testid="versions">
        <li v-for="version in versions" :key="version.number">
          <VersionCard
            :version="version"
            :is-shown="shown?.number === version.number"
            @restore="restore(version)"
          />
        </li>
      </ol>
    </div>
    <InspectorPanel>
      <ChangeList
        v-if="shown && take.document"
        :title="`From version ${shown.number} to now`"
        :before="shown.document"
        :after="asKept(take.document)"
      />
    </InspectorPanel>
  </main>
</template>
