<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Review } from '@/api/types'
import RemarkThread from '@/review/client/RemarkThread.vue'
import { useThreads } from '@/review/client/useThreads'
import { countOf, formatAge } from '@/ui/format'
import SheetDialog from '@/ui/SheetDialog.vue'
import AnswersDialog from './AnswersDialog.vue'
import ReviewLinks from './ReviewLinks.vue'
import type { useReviews } from './useReviews'

/** One review: what was shown, what came back, who has a link, and how it went. */
const props = defineProps<{ review: Review; reviews: ReturnType<typeof useReviews> }>()
const LONGEST = 2000
const threads = useThreads(
  () => props.review.said,
  () => props.review.takes,
)
const chosen = ref<string>()
const canMail = computed(() => props.review.origin !== null)
const file = computed(() => `/api/reviews/${props.review.id}`)
const verdict = computed(() => {
  const { said, withdrawn_at } = props.review
  if (said.approval) return `${said.approval.who} approved ${said.approval.name}`
  const last = [...said.choices].sort((one, other) => other.at.localeCompare(one.at))[0]
  if (last) {
    const name = last.place === null ? 'none of them' : props.review.takes[last.place]?.name
    return `${last.who} chose ${name ?? ''}, and has not approved it yet`
  }
  return withdrawn_at ? 'Withdrawn' : 'Out for review'
})
const isReopening = ref(false)
const reason = ref('')
async function reopen() {
  if (await props.reviews.reopen(reason.value.trim())) isReopening.value = false
}
const isTakingIn = ref(false)
const isWithdrawing = ref(false)
async function withdraw() {
  if (await props.reviews.withdraw()) isWithdrawing.value = false
}
// What went wrong in a dialog is of no use once it is closed.
watch([isTakingIn, isReopening, isWithdrawing], () => props.reviews.dismiss())
const when = (text: string) =>
  new Date(text).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' })
</script>

<template>
  <div class="flex flex-col gap-5">
    <div class="flex flex-wrap items-start gap-x-4 gap-y-2">
      <div class="min-w-60 flex-1">
        <h2 class="text-[19px] leading-tight [overflow-wrap:anywhere]" dir="auto">{{ verdict }}</h2>
        <p v-if="review.said.approval" class="text-quiet">
          Version {{ review.said.approval.version }}, {{ when(review.said.approval.at) }},
          <span class="value" :title="review.said.approval.digest">{{
            review.said.approval.digest.slice(0, 12)
          }}</span>
        </p>
        <p v-else class="text-quiet">
          Shown {{ formatAge(review.created_at)
          }}{{ review.pages.length ? ` on ${review.pages.join(', ')}` : ', the palette only' }}
        </p>
      </div>
      <div class="flex flex-wrap gap-2">
        <button
          v-if="review.said.approval"
          type="button"
          class="button"
          @click="((reason = ''), (isReopening = true))"
        >
          Reopen
        </button>
        <button type="button" class="button" @click="isTakingIn = true">Import answers</button>
        <a class="button" :href="`${file}/file`" download>Review as a file</a>
        <a class="button" :href="`${file}/history`" download>History as a PDF</a>
        <button
          v-if="!review.withdrawn_at"
          type="button"
          class="button"
          @click="isWithdrawing = true"
        >
          Withdraw
        </button>
      </div>
    </div>
    <ul class="grid grid-cols-2 gap-3 max-[700px]:grid-cols-1" aria-label="What was shown">
      <li
        v-for="(take, row) in review.takes"
        :key="take.take"
        class="bg-sheet"
        :class="review.said.approval?.place === row ? 'border-3 border-ink' : 'border border-ink'"
      >
        <div class="keeps-color flex h-9" aria-hidden="true">
          <span
            v-for="hex in take.colors"
            :key="hex"
            class="flex-1"
            :style="{ backgroundColor: hex }"
          ></span>
        </div>
        <p class="flex flex-wrap gap-x-2 px-3 py-1.5">
          <RouterLink
            class="font-semibold underline [overflow-wrap:anywhere]"
            :to="{
              name: 'versions',
              params: { brandId: review.brand_id, takeId: take.take, number: take.version },
            }"
            >{{ take.name }}</RouterLink
          >
          <span class="text-quiet">version {{ take.version }}</span>
          <span v-if="take.failing" class="ml-auto font-semibold">{{
            countOf(take.failing, 'pair fails', 'pairs fail')
          }}</span>
          <span v-if="review.said.approval?.place === row" class="ml-auto font-semibold"
            >approved</span
          >
        </p>
      </li>
    </ul>
    <section aria-label="Remarks">
      <h3 class="text-[15px]">Remarks</h3>
      <p v-if="!threads.length" class="mt-1 text-quiet">
        {{
          review.may_comment ? 'None yet.' : 'Clients can look at this review, but not add remarks.'
        }}
      </p>
      <div class="mt-1.5 flex flex-col gap-2">
        <RemarkThread
          v-for="thread in threads"
          :key="thread.id"
          :remarks="thread.remarks"
          :number="thread.number"
          :about="thread.about"
          :is-chosen="chosen === thread.id"
          may-answer
          is-designer
          :longest="LONGEST"
          :edit="reviews.edit"
          :take-back="reviews.takeBack"
          :answer="(text) => reviews.answer(thread.id, text)"
          @choose="chosen = thread.id"
        >
          <button
            type="button"
            class="leading-6 underline"
            @click="reviews.resolve(thread.id, !thread.first.is_resolved)"
          >
            {{ thread.first.is_resolved ? 'Reopen' : 'Resolve' }}
          </button>
          <RouterLink
            v-if="
              thread.first.about.kind === 'part' && review.takes[thread.first.about.place ?? -1]
            "
            class="leading-6 underline"
            :to="{
              name: 'proof',
              params: {
                brandId: review.brand_id,
                takeId: review.takes[thread.first.about.place ?? 0]?.take,
                page: thread.first.about.page,
              },
              query: { part: thread.first.about.part },
            }"
            >Open in Proof</RouterLink
          >
        </RemarkThread>
      </div>
    </section>
    <ReviewLinks
      :links="review.links"
      :is-withdrawn="review.withdrawn_at !== null"
      :can-mail="canMail"
      :problem="reviews.problem.value"
      :make="reviews.newLink"
      :prolong="reviews.prolong"
      @withdraw="reviews.withdrawLink"
    />
    <section aria-label="History">
      <h3 class="text-[15px]">History</h3>
      <ol class="mt-1.5 border-t border-ink">
        <li
          v-for="(one, row) in review.history"
          :key="row"
          class="grid grid-cols-[150px_minmax(0,1fr)] gap-3 border-b border-hair bg-sheet px-3 py-1.5 max-[600px]:grid-cols-1 max-[600px]:gap-0"
        >
          <time class="text-quiet" :datetime="one.at">{{ when(one.at) }}</time>
          <span class="[overflow-wrap:anywhere]" dir="auto">{{ one.text }}</span>
        </li>
      </ol>
    </section>
    <AnswersDialog v-model="isTakingIn" :problem="reviews.problem.value" :take="reviews.takeIn" />
    <SheetDialog
      v-model="isReopening"
      title="Reopen the review"
      description="The approval stays in the history, and the client sees that the review is open."
    >
      <form class="mt-3 flex flex-col gap-3" @submit.prevent="reopen">
        <label class="block"
          >Reason, for the history
          <input v-model="reason" class="field mt-1" dir="auto" maxlength="2000" />
        </label>
        <p v-if="reviews.problem.value" role="alert" class="font-semibold">
          {{ reviews.problem.value }}
        </p>
        <div class="flex gap-2">
          <button class="button-solid">Reopen</button>
          <button type="button" class="button ml-auto" @click="isReopening = false">Cancel</button>
        </div>
      </form>
    </SheetDialog>
    <SheetDialog
      v-model="isWithdrawing"
      title="Withdraw the review"
      description="All its links stop working. The remarks stay here."
    >
      <div class="mt-4 flex gap-2">
        <button type="button" class="button-solid" @click="withdraw">Withdraw</button>
        <button type="button" class="button ml-auto" @click="isWithdrawing = false">Cancel</button>
      </div>
    </SheetDialog>
  </div>
</template>
