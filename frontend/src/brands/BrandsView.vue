<script setup lang="ts">
import { onMounted } from 'vue'
import AppMark from '@/head/AppMark.vue'
import ViewMenu from '@/head/ViewMenu.vue'
import { useFileIntake } from '@/source/useFileIntake'
import NoticeBar from '@/ui/NoticeBar.vue'
import RadioBar from '@/ui/RadioBar.vue'
import RenameDialog from '@/ui/RenameDialog.vue'
import { useUnanswered } from '@/ui/useAnswer'
import BrandCard from './BrandCard.vue'
import BrandStart from './BrandStart.vue'
import SixSteps from '@/source/SixSteps.vue'
import { useBrands } from './useBrands'
import { useBrandStart } from './useBrandStart'

const list = useBrands()
const { items: brands, shelf, find, gone, problem, renamed, isSearching } = list
const start = useBrandStart()
const { isOver } = useFileIntake(start.fromFiles, () => undefined)
const { problem: unanswered, askAgain } = useUnanswered()
onMounted(list.reload)

const SHELVES = [
  { value: 'open', label: 'At work' },
  { value: 'archived', label: 'Archived' },
  { value: 'deleted', label: 'Deleted' },
] as const
</script>

<template>
  <div class="flex min-h-dvh flex-col">
    <header
      class="flex min-h-11.5 items-center gap-3 border-b border-ink bg-sheet px-4 max-[600px]:flex-wrap max-[600px]:py-2"
    >
      <AppMark />
      <h1 class="sr-only">Brands</h1>
      <RadioBar v-model="shelf" class="ml-auto" label="Brands shown" :options="SHELVES" />
      <label class="sr-only" for="find-brand">Find a brand</label>
      <input
        id="find-brand"
        v-model="find"
        type="search"
        class="field w-55"
        placeholder="Find a brand"
        maxlength="80"
        autocomplete="off"
      />
      <ViewMenu />
    </header>
    <div class="grid flex-1 grid-cols-[minmax(0,1fr)_292px] max-[900px]:grid-cols-1">
      <main class="p-5 max-[600px]:p-3">
        <NoticeBar v-if="unanswered" class="mb-3" :text="unanswered" again @again="askAgain" />
        <NoticeBar v-if="problem" class="mb-3" :text="problem" @dismiss="problem = ''" />
        <NoticeBar v-if="gone" class="mb-3" :text="gone.said" @dismiss="gone = undefined">
          <button type="button" class="button" @click="list.act(gone.back, gone.brand)">
            Restore
          </button>
        </NoticeBar>
        <template v-if="brands?.length === 0">
          <p v-if="isSearching" class="text-quiet">No brand has this name.</p>
          <p v-else-if="shelf === 'archived'" class="text-quiet">No archived brands.</p>
          <p v-else-if="shelf === 'deleted'" class="text-quiet">No deleted brands.</p>
          <SixSteps v-else />
        </template>
        <ul class="grid gap-3" aria-label="Brands">
          <li v-for="brand in brands" :key="brand.brand.id">
            <BrandCard
              :brand="brand"
              :shelf="shelf"
              :to="start.frame(brand.brand)"
              @act="list.act($event, brand.brand)"
            />
          </li>
        </ul>
        <button
          v-if="list.hasMore.value"
          type="button"
          class="button mt-3"
          :disabled="list.isLoading.value"
          @click="list.more"
        >
          Show more brands
        </button>
      </main>
      <BrandStart
        v-model:name="start.name.value"
        :reading="start.reading.value"
        :error="start.error.value"
        :is-over="isOver"
        @files="start.fromFiles"
        @from="start.from"
        @name="start.fromName"
      />
    </div>
    <RenameDialog
      :model-value="renamed !== undefined"
      title="Rename the brand"
      :name="renamed?.name ?? ''"
      :longest="80"
      @update:model-value="renamed = undefined"
      @rename="list.rename"
    />
  </div>
</template>
