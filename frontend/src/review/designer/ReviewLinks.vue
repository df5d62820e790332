<script setup lang="ts">
import { ref } from 'vue'
import type { ReviewLink } from '@/api/types'
import { formatAge, formatDay } from '@/ui/format'
import SheetDialog from '@/ui/SheetDialog.vue'
import LinkFields from './LinkFields.vue'
import type { LinkWish } from './useReviews'

/** Who has a link, when it was opened, and until when it leads there. */
const props = defineProps<{
  links: readonly ReviewLink[]
  isWithdrawn: boolean
  canMail: boolean
  problem: string
  make: (wish: LinkWish) => Promise<boolean>
  prolong: (link: string, until: string | null) => Promise<boolean>
}>()
const emit = defineEmits<{ withdraw: [link: string] }>()
const EMPTY: LinkWish = { name: '', until: null, passphrase: null, mail: null }
const isMaking = ref(false)
const wish = ref<LinkWish>(EMPTY)
const prolonged = ref<ReviewLink>()
const until = ref('')

function startLink() {
  wish.value = EMPTY
  isMaking.value = true
}
async function makeLink() {
  if (await props.make(wish.value)) isMaking.value = false
}
function startProlonging(link: ReviewLink) {
  until.value = lastDay(link) ?? ''
  prolonged.value = link
}
async function prolongLink() {
  if (prolonged.value && (await props.prolong(prolonged.value.id, until.value || null)))
    prolonged.value = undefined
}
/** A link ends when its last day is over everywhere. */
const lastDay = (link: ReviewLink) =>
  link.expires_at
    ? new Date(new Date(link.expires_at).getTime() - 86_400_000).toISOString().slice(0, 10)
    : undefined
const isOver = (link: ReviewLink) =>
  link.expires_at !== null && new Date(link.expires_at) <= new Date()
const dayOf = (link: ReviewLink) => formatDay(lastDay(link) ?? '', { isWholeDay: true })
function stateOf(link: ReviewLink): string {
  if (link.withdrawn_at) return 'Withdrawn'
  if (isOver(link)) return `Ended after ${dayOf(link)}`
  return link.expires_at ? `Until ${dayOf(link)}` : 'No end date'
}
const openedOf = (link: ReviewLink) =>
  link.last_opened_at
    ? `Opened ${link.opened === 1 ? 'once' : `${link.opened.toString()} times`}, last ${formatAge(link.last_opened_at)}`
    : 'Not opened yet'
</script>

<template>
  <section aria-label="Links">
    <div class="flex items-center gap-3">
      <h3 class="text-[15px]">Links</h3>
      <button v-if="!isWithdrawn" type="button" class="button ml-auto" @click="startLink">
        New link
      </button>
    </div>
    <ul class="mt-1.5 border-t border-ink">
      <li
        v-for="link in links"
        :key="link.id"
        class="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-hair bg-sheet px-3 py-2"
      >
        <div class="min-w-40 flex-1">
          <p class="font-semibold [overflow-wrap:anywhere]" dir="auto">
            {{ link.name || 'No name' }}
          </p>
          <p class="text-quiet">
            {{ stateOf(link) }} · {{ openedOf(link)
            }}{{ link.has_passphrase ? ' · with a passphrase' : '' }}
          </p>
        </div>
        <template v-if="!link.withdrawn_at && !isWithdrawn">
          <button
            type="button"
            class="button"
            :aria-label="`Change end of the link for ${link.name || 'no one in particular'}`"
            @click="startProlonging(link)"
          >
            Change end
          </button>
          <button
            type="button"
            class="button"
            :aria-label="`Withdraw the link for ${link.name || 'no one in particular'}`"
            @click="emit('withdraw', link.id)"
          >
            Withdraw
          </button>
        </template>
      </li>
    </ul>
    <SheetDialog v-model="isMaking" title="A new link" description="It shows the same review.">
      <form class="mt-3 flex flex-col gap-3" @submit.prevent="makeLink">
        <LinkFields v-model="wish" :can-mail="canMail" />
        <p v-if="problem" role="alert" class="font-semibold">{{ problem }}</p>
        <div class="flex gap-2">
          <button class="button-solid">Make the link</button>
          <button type="button" class="button ml-auto" @click="isMaking = false">Cancel</button>
        </div>
      </form>
    </SheetDialog>
    <SheetDialog
      :model-value="prolonged !== undefined"
      title="Change end"
      @update:model-value="prolonged = undefined"
    >
      <form class="mt-3 flex flex-col gap-3" @submit.prevent="prolongLink">
        <label class="block"
          >Ends after
          <input v-model="until" type="date" class="field mt-1" />
        </label>
        <p class="text-quiet">Leave it empty if the link should never end.</p>
        <p v-if="problem" role="alert" class="font-semibold">{{ problem }}</p>
        <div class="flex gap-2">
          <button class="button-solid">Save</button>
          <button type="button" class="button ml-auto" @click="prolonged = undefined">
            Cancel
          </button>
        </div>
      </form>
    </SheetDialog>
  </section>
</template>
