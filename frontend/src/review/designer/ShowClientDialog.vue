<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { api, answerOf } from '@/api/client'
import type { NewReview, VoiceId } from '@/api/types'
import ChoiceList from '@/ui/ChoiceList.vue'
import SheetDialog from '@/ui/SheetDialog.vue'
import { useAnswer } from '@/ui/useAnswer'
import LinkFields from './LinkFields.vue'
import type { LinkWish } from './useReviews'

/** What a client is to see, what they may do, and the first link. */
const props = defineProps<{
  takes: readonly { id: string; name: string }[]
  first: string | undefined
  /** The trade that is guessed for the brand. */
  guessed: VoiceId | undefined
  canMail: boolean
  problem: string
  send: (body: NewReview) => Promise<boolean>
}>()
const shown = defineModel<boolean>({ required: true })
const MOST = 4
const { answer: vocabulary } = useAnswer(() => answerOf(api.GET('/api/proof')))

const chosen = ref<string[]>([])
const names = ref<Record<string, string>>({})
const pages = ref<string[]>(['board', 'home', 'article', 'shop'])
const widths = ref<('wide' | 'phone')[]>(['wide', 'phone'])
const greeting = ref('')
const rights = ref({ may_comment: true, may_choose: true, may_approve: true })
const link = ref<LinkWish>(emptyLink())
const isSending = ref(false)
watch(
  shown,
  (isShown) => {
    if (!isShown) return
    const first = props.first ?? props.takes[0]?.id
    chosen.value = first ? [first] : []
    names.value = {}
    chosenVoice.value = undefined
    isTrade.value = false
    link.value = emptyLink()
  },
  { immediate: true },
)
function emptyLink(): LinkWish {
  return { name: '', until: null, passphrase: null, mail: null }
}

const RIGHTS = [
  { key: 'may_comment', label: 'Add remarks' },
  { key: 'may_choose', label: 'Choose one' },
  { key: 'may_approve', label: 'Approve' },
] as const
const isReady = computed(
  () =>
    chosen.value.length > 0 &&
    widths.value.length > 0 &&
    (!pages.value.length || isTrade.value) &&
    !isSending.value,
)
/** Whose words the pages have: a client who is taken for somebody else has seen enough. */
const chosenVoice = ref<VoiceId>()
const voice = computed(() => chosenVoice.value ?? props.guessed)
const isTrade = ref(false)
const trades = computed(() =>
  (vocabulary.value?.voices ?? []).map((one) => ({
    value: one.id,
    label: one.id === props.guessed ? `${one.name}, as guessed` : one.name,
  })),
)
function choose(id: VoiceId) {
  chosenVoice.value = id
  isTrade.value = true
}
/** In the order of the tabs, whatever was ticked first. */
const inOrder = <T extends { id: string }>(all: readonly T[], ids: readonly string[]) =>
  all.filter((one) => ids.includes(one.id))

async function submit() {
  if (!isReady.value) return
  isSending.value = true
  const isSent = await props.send({
    takes: inOrder(props.takes, chosen.value).map((one) => ({
      take: one.id,
      name: names.value[one.id]?.trim() || null,
    })),
    pages: inOrder(vocabulary.value?.pages ?? [], pages.value).map((one) => one.id),
    widths: (['wide', 'phone'] as const).filter((one) => widths.value.includes(one)),
    greeting: greeting.value,
    ...rights.value,
    voice: pages.value.length ? (voice.value ?? null) : null,
    link: link.value,
  })
  isSending.value = false
  if (isSent) shown.value = false
}
</script>

<template>
  <SheetDialog
    v-model="shown"
    wide
    title="Show the client"
    description="They see a version, saved now. It stays as it is, whatever you change later."
  >
    <form class="mt-3 flex flex-col gap-4" @submit.prevent="submit">
      <fieldset>
        <legend class="font-semibold">Takes, and their names for the client</legend>
        <ul class="mt-1 flex flex-col gap-1.5">
          <li v-for="take in takes" :key="take.id" class="flex items-center gap-2">
            <label class="flex min-w-0 flex-1 items-center gap-2">
              <input
                v-model="chosen"
                type="checkbox"
                class="h-6 w-6 flex-none accent-ink"
                :value="take.id"
                :disabled="!chosen.includes(take.id) && chosen.length >= MOST"
              />
              <span class="truncate" dir="auto">{{ take.name }}</span>
            </label>
            <input
              v-if="chosen.includes(take.id)"
              v-model="names[take.id]"
              class="field max-w-60"
              dir="auto"
              maxlength="80"
              autocomplete="off"
              :aria-label="`Name of ${take.name} for the client`"
              :placeholder="take.name"
            />
          </li>
        </ul>
      </fieldset>
      <fieldset>
        <legend class="font-semibold">Pages</legend>
        <div class="mt-1 flex flex-wrap gap-x-5 gap-y-1.5">
          <label
            v-for="page in vocabulary?.pages ?? []"
            :key="page.id"
            class="flex items-center gap-2"
          >
            <input v-model="pages" type="checkbox" class="h-6 w-6 accent-ink" :value="page.id" />
            {{ page.name }}
          </label>
        </div>
        <p class="mt-1 text-quiet">
          {{ pages.length ? 'The colours and their values come last.' : 'The colours only.' }}
        </p>
      </fieldset>
      <fieldset v-if="pages.length && voice && trades.length">
        <legend class="font-semibold">What do they do?</legend>
        <div class="mt-1 flex flex-wrap items-center gap-x-5 gap-y-1.5">
          <ChoiceList
            class="w-64"
            label="Trade"
            align="left"
            :model-value="voice"
            :options="trades"
            @update:model-value="choose"
          />
          <label class="flex items-center gap-2"
            ><input v-model="isTrade" type="checkbox" class="h-6 w-6 accent-ink" /> The pages are
            right for them</label
          >
        </div>
        <p class="mt-1 text-quiet">
          {{
            isTrade
              ? 'A take that was given a trade in Proof keeps it.'
              : 'Confirm it, or choose another, before the link is made.'
          }}
        </p>
      </fieldset>
      <div class="grid grid-cols-2 gap-4 max-[600px]:grid-cols-1">
        <fieldset>
          <legend class="font-semibold">Sizes</legend>
          <div class="mt-1 flex flex-wrap gap-x-5">
            <label class="flex items-center gap-2"
              ><input v-model="widths" type="checkbox" class="h-6 w-6 accent-ink" value="wide" />
              Wide</label
            >
            <label class="flex items-center gap-2"
              ><input v-model="widths" type="checkbox" class="h-6 w-6 accent-ink" value="phone" />
              Phone</label
            >
          </div>
        </fieldset>
        <fieldset>
          <legend class="font-semibold">Besides looking, they may</legend>
          <div class="mt-1 flex flex-wrap gap-x-5 gap-y-1">
            <label v-for="right in RIGHTS" :key="right.key" class="flex items-center gap-2"
              ><input v-model="rights[right.key]" type="checkbox" class="h-6 w-6 accent-ink" />
              {{ right.label }}</label
            >
          </div>
        </fieldset>
      </div>
      <label class="block font-semibold"
        >Greeting
        <textarea
          v-model="greeting"
          class="field mt-1 min-h-14 py-1 font-normal"
          dir="auto"
          maxlength="600"
          placeholder="Two suggestions. Look at both, and choose one."
        ></textarea>
      </label>
      <LinkFields v-model="link" :can-mail="canMail" />
      <p v-if="problem" role="alert" class="font-semibold">{{ problem }}</p>
      <div class="flex gap-2">
        <button class="button-solid" :disabled="!isReady">
          {{ isSending ? 'Making the link…' : 'Make the link' }}
        </button>
        <button type="button" class="button ml-auto" @click="shown = false">Cancel</button>
      </div>
    </form>
  </SheetDialog>
</template>
