<script setup lang="ts">
import { formatDay } from '@/ui/format'
import { computed, ref } from 'vue'
import SheetDialog from '@/ui/SheetDialog.vue'
import type { OpenReview } from './useReview'

/** What was chosen, and the two last steps: a sheet to keep, and the approval. */
const props = defineProps<{
  review: OpenReview
  /** The take that a sheet and an approval are of: the chosen one, or the only one. */
  place: number | undefined
  sheet: string | undefined
  /** Of the same, for tabs, phones and shared links. */
  icons: string | undefined
  brand: string
  isOnline: boolean
}>()
const emit = defineEmits<{ send: [] }>()

const takes = computed(() => props.review.shown.value?.content.takes ?? [])
const nameOf = (place: number | null | undefined) => takes.value[place ?? -1]?.name ?? ''
const approval = computed(() => props.review.said.value.approval)
const choice = computed(() => props.review.choice.value)
const others = computed(() =>
  props.review.said.value.choices.filter((one) => !one.is_own && one.place !== null),
)

const isApproving = ref(false)
const isRefusing = ref(false)
const name = ref('')
const reason = ref('')
const agreed = ref(false)
function startApproval() {
  name.value = props.review.name.value
  agreed.value = false
  isApproving.value = true
}
async function approve() {
  if (props.place === undefined) return
  props.review.rename(name.value)
  if (await props.review.approve(props.place)) isApproving.value = false
}
function startRefusal() {
  name.value = props.review.name.value
  reason.value = ''
  isRefusing.value = true
}
async function refuse() {
  props.review.rename(name.value)
  if (await props.review.choose(null, reason.value.trim())) isRefusing.value = false
}
const dated = (at: string) => formatDay(at, { hasYear: true })
</script>

<template>
  <footer
    class="flex flex-wrap items-center gap-x-4 gap-y-2 border-t border-ink bg-sheet px-4 py-3"
    aria-label="Your choice"
  >
    <p class="min-w-0 flex-1 max-[600px]:basis-full" role="status">
      <template v-if="approval">
        <strong class="text-[15px]"
          ><bdi>{{ approval.name }}</bdi> is approved.</strong
        >
        <span class="ml-3 text-quiet"
          ><span dir="auto">{{ approval.who }}</span> approved it on {{ dated(approval.at) }}. Only
          your designer can open it again.</span
        >
      </template>
      <template v-else-if="choice">
        <strong class="text-[15px]">{{
          choice.place === null ? 'You chose none of them.' : `You chose ${nameOf(choice.place)}.`
        }}</strong>
        <span class="ml-3 text-quiet">You can still change your mind.</span>
      </template>
      <template v-else-if="review.shown.value?.mayChoose && takes.length > 1">
        <strong class="text-[15px]">Which one do you prefer?</strong>
        <span v-if="others.length" class="ml-3 text-quiet"
          ><template v-for="(one, row) in others" :key="row"
            ><span dir="auto">{{ one.who }}</span> chose {{ nameOf(one.place) }}.
          </template></span
        >
        <button type="button" class="ml-3 underline" @click="startRefusal">None of them</button>
      </template>
    </p>
    <button v-if="!isOnline" type="button" class="button" @click="emit('send')">
      Send your answers back
    </button>
    <a v-if="sheet" class="button" :href="sheet" :download="`${brand} colours.pdf`"
      >Save the colours as a PDF</a
    >
    <a v-if="icons" class="button" :href="icons" :download="`${brand} icons.zip`">Save the icons</a>
    <button
      v-if="review.shown.value?.mayApprove && !approval && place !== undefined"
      type="button"
      class="button-solid min-h-10 px-5 text-[15px]"
      @click="startApproval"
    >
      Approve {{ nameOf(place) }}
    </button>
    <SheetDialog
      v-model="isApproving"
      :title="`Approve ${nameOf(place)}`"
      description="Your designer will be told, and will continue with these colours."
    >
      <form class="mt-3 flex flex-col gap-3" @submit.prevent="approve">
        <label class="block"
          >Your name
          <input v-model="name" class="field mt-1" dir="auto" maxlength="80" autocomplete="name" />
        </label>
        <label class="flex items-start gap-2">
          <input v-model="agreed" type="checkbox" class="mt-0.5 h-6 w-6 accent-ink" />
          I approve these colours as they are shown here.
        </label>
        <p v-if="review.problem.value" role="alert" class="font-semibold">
          {{ review.problem.value }}
        </p>
        <div class="flex gap-2">
          <button class="button-solid" :disabled="!agreed || !name.trim()">Approve</button>
          <button type="button" class="button ml-auto" @click="isApproving = false">Not yet</button>
        </div>
      </form>
    </SheetDialog>
    <SheetDialog
      v-model="isRefusing"
      title="None of them"
      description="Say what is missing, so that the next suggestions come closer."
    >
      <form class="mt-3 flex flex-col gap-3" @submit.prevent="refuse">
        <label class="block"
          >Why
          <textarea
            v-model="reason"
            class="field mt-1 min-h-18 py-1"
            dir="auto"
            maxlength="2000"
          ></textarea>
        </label>
        <label class="block"
          >Your name
          <input v-model="name" class="field mt-1" dir="auto" maxlength="80" autocomplete="name" />
        </label>
        <p v-if="review.problem.value" role="alert" class="font-semibold">
          {{ review.problem.value }}
        </p>
        <div class="flex gap-2">
          <button class="button-solid" :disabled="!reason.trim() || !name.trim()">Send</button>
          <button type="button" class="button ml-auto" @click="isRefusing = false">Cancel</button>
        </div>
      </form>
    </SheetDialog>
  </footer>
</template>
