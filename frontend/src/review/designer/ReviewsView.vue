<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { NewReview } from '@/api/types'
import AppMark from '@/head/AppMark.vue'
import ViewMenu from '@/head/ViewMenu.vue'
import { useBrandStore } from '@/take/brand'
import NoticeBar from '@/ui/NoticeBar.vue'
import { useAnswer, useUnanswered } from '@/ui/useAnswer'
import { useCopy } from '@/ui/useCopy'
import MadeLink from './MadeLink.vue'
import ReviewDetail from './ReviewDetail.vue'
import ReviewList from './ReviewList.vue'
import ShowClientDialog from './ShowClientDialog.vue'
import { useReviews } from './useReviews'

/** What of a brand is out for review, and what came back. */
const props = defineProps<{ brandId: string; reviewId?: string }>()
const brand = useBrandStore()
const route = useRoute()
const router = useRouter()
const { problem: unanswered, askAgain } = useUnanswered()
const { announcement } = useCopy()
useAnswer(() => brand.open(props.brandId))

const reviews = useReviews(
  () => props.brandId,
  () => props.reviewId,
)
const { list, review, made, problem, origin } = reviews
const takes = computed(() => brand.detail?.takes ?? [])
const guessed = computed(() => brand.detail?.voice)
const take = computed(() => {
  const asked = typeof route.query.take === 'string' ? route.query.take : undefined
  return takes.value.find((one) => one.id === asked)?.id
})
const isShowing = ref(false)
async function show(body: NewReview): Promise<boolean> {
  const found = await reviews.show(body)
  if (!found) return false
  await router.replace({ name: 'reviews', params: { reviewId: found.id }, query: route.query })
  return true
}
const file = computed(() => review.value && `/api/reviews/${review.value.id}/file`)
/** A link is shown where it belongs, and nowhere else. */
const link = computed(() =>
  made.value?.review === review.value?.id ? made.value?.link : undefined,
)
</script>

<template>
  <div class="flex min-h-dvh flex-col">
    <header
      class="flex min-h-11.5 flex-wrap items-center gap-x-5 gap-y-2 border-b border-ink bg-sheet px-4 py-2"
    >
      <AppMark />
      <h1 class="min-w-24 truncate text-[14px]" dir="auto" :title="brand.detail?.brand.name">
        {{ brand.detail?.brand.name ?? '' }}
      </h1>
      <RouterLink
        v-if="brand.detail?.brand.first_take"
        class="underline"
        :to="{
          name: 'proof',
          params: { brandId, takeId: take ?? brand.detail.brand.first_take },
        }"
        >Back to the takes</RouterLink
      >
      <button type="button" class="button-solid ml-auto" @click="isShowing = true">
        Show the client
      </button>
      <ViewMenu />
    </header>
    <div
      class="grid flex-1 grid-cols-[300px_minmax(0,1fr)] content-start gap-5 p-4 max-[900px]:grid-cols-1"
    >
      <nav aria-label="Reviews of this brand">
        <ReviewList v-if="list?.length" :reviews="list" :chosen="review?.id" />
      </nav>
      <main class="min-w-0">
        <NoticeBar v-if="unanswered" class="mb-3" :text="unanswered" again @again="askAgain" />
        <NoticeBar
          v-if="problem && !isShowing"
          class="mb-3"
          :text="problem"
          @dismiss="reviews.dismiss()"
        />
        <MadeLink
          v-if="link"
          class="mb-5"
          :made="link"
          :file="file"
          @dismiss="reviews.forgetLink()"
        />
        <ReviewDetail v-if="review" :key="review.id" :review="review" :reviews="reviews" />
        <div v-else-if="list && !list.length" class="max-w-120">
          <h2 class="text-title">Nothing is out for review yet</h2>
          <p class="mt-1 text-quiet">
            Send your client a link to one to four takes. They look at the pages, add remarks where
            they belong, choose and approve. They need no account.
          </p>
          <button type="button" class="button-solid mt-3" @click="isShowing = true">
            Show the client
          </button>
        </div>
        <p v-else-if="!unanswered" class="text-quiet" role="status">Opening…</p>
      </main>
    </div>
    <ShowClientDialog
      v-model="isShowing"
      :takes="takes"
      :first="take"
      :guessed="guessed"
      :can-mail="origin !== null"
      :problem="problem"
      :send="show"
    />
    <p class="sr-only" role="status">{{ announcement }}</p>
  </div>
</template>
