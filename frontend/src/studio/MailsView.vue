<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { api, answerOf } from '@/api/client'
import AppMark from '@/head/AppMark.vue'
import ViewMenu from '@/head/ViewMenu.vue'
import { formatAge } from '@/ui/format'
import NoticeBar from '@/ui/NoticeBar.vue'
import { useAnswer, useUnanswered } from '@/ui/useAnswer'
import { useEvents } from '@/ui/useEvents'

/** The mails that went out; without a mail server, those that would have. */
const route = useRoute()
const { answer: outbox, ask } = useAnswer(() => answerOf(api.GET('/api/mails')))
const { problem, askAgain } = useUnanswered()
useEvents('/api/reviews/events', () => void ask())

const chosen = computed(() => {
  const mails = outbox.value?.mails ?? []
  return mails.find((one) => one.id === route.params.mailId) ?? mails[0]
})
const stateOf = (mail: { sent_at: string | null; problem: string | null }) => {
  if (outbox.value?.sends === 'outbox') return 'kept here'
  if (mail.sent_at) return 'sent'
  return mail.problem ? `not taken yet: ${mail.problem}` : 'waits'
}
</script>

<template>
  <div class="flex h-dvh min-h-120 flex-col max-[900px]:h-auto">
    <header
      class="flex min-h-11.5 items-center gap-5 border-b border-ink bg-sheet px-4 max-[600px]:flex-wrap max-[600px]:py-2"
    >
      <AppMark />
      <h1 class="text-[14px]">Emails</h1>
      <p v-if="outbox?.sends === 'outbox'" class="text-quiet">
        No mail server is set up, so they stay here.
      </p>
      <div class="ml-auto"><ViewMenu /></div>
    </header>
    <NoticeBar v-if="problem" class="m-4" :text="problem" again @again="askAgain" />
    <div
      v-if="outbox?.mails.length"
      class="grid min-h-0 flex-1 grid-cols-[340px_minmax(0,1fr)] gap-4 p-4 max-[900px]:grid-cols-1"
    >
      <nav class="min-h-0 overflow-y-auto" aria-label="Emails, the newest first" tabindex="0">
        <ul class="border-t border-ink">
          <li v-for="mail in outbox.mails" :key="mail.id">
            <RouterLink
              :to="{ name: 'mails', params: { mailId: mail.id } }"
              class="block border-b border-hair bg-sheet px-3 py-2 hover:underline"
              :class="chosen?.id === mail.id && 'shadow-[inset_4px_0_0_var(--ink)]'"
              :aria-current="chosen?.id === mail.id ? 'true' : undefined"
            >
              <span class="block font-semibold [overflow-wrap:anywhere]" dir="auto">{{
                mail.subject
              }}</span>
              <span class="block text-quiet [overflow-wrap:anywhere]"
                >to {{ mail.recipient }} · {{ formatAge(mail.created_at) }} ·
                {{ stateOf(mail) }}</span
              >
            </RouterLink>
          </li>
        </ul>
      </nav>
      <main class="flex min-h-0 flex-col border border-ink bg-sheet">
        <iframe
          v-if="chosen"
          :key="chosen.id"
          class="min-h-80 flex-1 border-0 bg-plate"
          :title="`The email “${chosen.subject}”`"
          :src="`/api/mails/${chosen.id}/page`"
        ></iframe>
        <details v-if="chosen" class="border-t border-hair px-3 py-2">
          <summary class="font-semibold">As text</summary>
          <pre class="value mt-2 max-h-60 overflow-auto whitespace-pre-wrap" tabindex="0">{{
            chosen.text
          }}</pre>
        </details>
      </main>
    </div>
    <main v-else class="p-6">
      <p v-if="outbox" class="text-quiet">
        No emails yet. Tonada sends one when you send a review, and when a client answers.
      </p>
      <p v-else-if="!problem" class="text-quiet" role="status">Opening…</p>
    </main>
  </div>
</template>
