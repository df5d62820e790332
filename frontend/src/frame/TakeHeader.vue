<script setup lang="ts">
import { computed } from 'vue'
import AppMark from '@/head/AppMark.vue'
import DeletedTakes from './DeletedTakes.vue'
import TakeTabs from './TakeTabs.vue'
import ViewMenu from '@/head/ViewMenu.vue'
import NoticeBar from '@/ui/NoticeBar.vue'
import RenameDialog from '@/ui/RenameDialog.vue'
import { useCameBackStore } from '@/remarks/cameBack'
import { useOpening } from './useOpening'
import { useTakeActions } from './useTakeActions'
import { countOf } from '@/ui/format'
import { useBrandStore } from '@/take/brand'
import { useTakeStore } from '@/take/take'

const brand = useBrandStore()
const cameBack = useCameBackStore()
const take = useTakeStore()

const waiting = computed(() => {
  const count = take.waitingChanges
  if (!count) return 'Not saved yet: no answer, trying again'
  return `${countOf(count, 'change waits', 'changes wait')} for the server`
})
const saved = computed(
  () =>
    ({
      saved: 'Saved',
      saving: 'Saving…',
      waiting: waiting.value,
      conflict: 'Not saved: changed in another window',
      removed: 'Not saved: deleted in another window',
      refused: `Not saved: ${take.saveProblem}`,
    })[take.saveState],
)
const elsewhere = computed(() => take.unsavedElsewhere.join(', '))

const { openOwn } = useOpening()
const actions = useTakeActions()
const { isRenaming, showsDeleted, deleted, problem } = actions
</script>

<template>
  <header
    class="flex min-h-11.5 items-center gap-x-5 gap-y-2 max-[1100px]:gap-x-2.5 border-b border-ink bg-sheet px-4 py-2 max-[900px]:flex-wrap"
  >
    <AppMark />
    <h1 dir="auto" class="min-w-24 max-w-60 truncate text-[14px]" :title="brand.detail?.brand.name">
      {{ brand.detail?.brand.name ?? '' }}
    </h1>
    <TakeTabs
      v-if="brand.detail"
      :takes="brand.detail.takes"
      :has-deleted="brand.detail.removed_takes.length > 0"
      @act="actions.act"
      @file="(file) => openOwn([file])"
    />
    <p
      class="ml-auto min-w-13 truncate text-quiet"
      role="status"
      data-testid="save-state"
      :data-state="take.saveState"
      :data-revision="take.take?.revision"
      :title="take.saveProblem || undefined"
    >
      {{ saved }}<template v-if="elsewhere"> · not saved yet: {{ elsewhere }}</template>
    </p>
    <div class="flex gap-2">
      <button
        type="button"
        class="button"
        title="Ctrl Z"
        :disabled="!take.canUndo"
        @click="take.undo()"
      >
        Undo
      </button>
      <button
        type="button"
        class="button"
        title="Ctrl Shift Z"
        :disabled="!take.canRedo"
        @click="take.redo()"
      >
        Redo
      </button>
    </div>
    <RouterLink
      v-if="!take.isEmpty && brand.detail"
      :to="{
        name: 'reviews',
        params: { brandId: brand.detail.brand.id },
        query: { take: take.take?.id },
      }"
      class="button"
      data-testid="reviews"
      >Review<span
        v-if="cameBack.remarks.length"
        class="ml-1.5 border border-quiet px-1 text-[11px] leading-4"
        >{{ cameBack.remarks.length }} open</span
      ></RouterLink
    >
    <RouterLink v-if="!take.isEmpty" :to="{ name: 'handoff' }" class="button-solid"
      >Hand off</RouterLink
    >
    <ViewMenu />
    <RenameDialog
      v-model="isRenaming"
      title="Rename the take"
      :name="brand.detail?.takes.find((one) => one.id === take.take?.id)?.name ?? ''"
      @rename="actions.rename"
    />
    <DeletedTakes
      v-model="showsDeleted"
      :takes="brand.detail?.removed_takes ?? []"
      @restore="actions.restore"
    />
    <NoticeBar
      v-if="deleted || problem"
      class="fixed inset-x-4 bottom-32 z-30 mx-auto max-w-180"
      :text="problem || `${deleted?.name ?? ''} was deleted.`"
      @dismiss="((deleted = undefined), (problem = ''))"
    >
      <button v-if="deleted" type="button" class="button" @click="actions.bringBack">
        Restore
      </button>
    </NoticeBar>
  </header>
</template>
