<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import { api, explain, given } from '@/api/client'
import type { BrandSummary } from '@/api/types'
import AppMark from './AppMark.vue'
import ScaleStrip from '@/ui/ScaleStrip.vue'
import ViewMenu from './ViewMenu.vue'
import { countOf } from '@/ui/format'
import NoticeBar from '@/ui/NoticeBar.vue'
import { useUnanswered } from '@/ui/useAnswer'
import { usePages } from '@/ui/usePages'

const router = useRouter()
const name = ref('')
const error = ref('')
const {
  items: brands,
  isLoading,
  hasMore,
  reload,
  more,
} = usePages(async (after: string | null, signal) => {
  const found = await given(api.GET('/api/brands', { params: { query: { after } }, signal }))
  return { items: found.brands, next: found.next }
})
const { problem: unanswered, askAgain } = useUnanswered()
onMounted(reload)

const frame = (brand: BrandSummary['brand']) => ({
  name: 'source',
  params: { brandId: brand.id, takeId: brand.first_take ?? '' },
})

async function create() {
  if (!name.value.trim()) {
    error.value = 'Give the brand a name first: 1 to 80 characters.'
    return
  }
  try {
    await router.push(frame(await given(api.POST('/api/brands', { body: { name: name.value } }))))
  } catch (reason) {
    error.value = explain(reason)
  }
}

const state = (brand: BrandSummary) => {
  if (!brand.swatches.length) return brand.sources ? 'No palette yet' : 'No logo yet'
  return brand.failing
    ? `${countOf(brand.failing, 'pair falls', 'pairs fall')} short`
    : 'Every pair passes'
}
</script>

<template>
  <div class="min-h-dvh">
    <header class="flex min-h-11.5 items-center border-b border-ink bg-sheet px-4">
      <AppMark />
      <span class="ml-auto"><ViewMenu /></span>
    </header>
    <main class="mx-auto max-w-220 p-6">
      <h1 class="text-title">Brands</h1>
      <form class="mt-3 flex gap-2" @submit.prevent="create">
        <label class="sr-only" for="brand-name">Name of the new brand</label>
        <input
          id="brand-name"
          v-model="name"
          class="field max-w-80"
          placeholder="Name of a client or a site"
          maxlength="80"
          autocomplete="off"
          aria-describedby="brand-error"
        />
        <button class="button-solid">New brand</button>
      </form>
      <p id="brand-error" role="alert" class="mt-2 font-semibold empty:hidden">{{ error }}</p>
      <NoticeBar v-if="unanswered" class="mt-3" :text="unanswered" again @again="askAgain" />
      <p v-if="brands?.length === 0" class="mt-6 text-quiet">
        There are no brands yet. Name one, then drop its logo.
      </p>
      <ul class="mt-4 border-t border-ink">
        <li v-for="brand in brands" :key="brand.brand.id" class="border-b border-hair">
          <RouterLink
            :to="frame(brand.brand)"
            class="grid grid-cols-[minmax(0,1fr)_340px_150px] items-center gap-4 bg-sheet px-3 py-3 hover:bg-surround max-[600px]:grid-cols-1"
          >
            <span class="truncate text-[15px] font-semibold" :title="brand.brand.name">{{
              brand.brand.name
            }}</span>
            <ScaleStrip :swatches="brand.swatches" />
            <span class="text-quiet">{{ state(brand) }}</span>
          </RouterLink>
        </li>
      </ul>
      <button v-if="hasMore" type="button" class="button mt-3" :disabled="isLoading" @click="more">
        Show more brands
      </button>
    </main>
  </div>
</template>
