<script setup lang="ts">
import { api, answerOf } from '@/api/client'
import { useCopy } from '@/ui/useCopy'
import { useFollowing } from '@/ui/useFollowing'
import { useTakeStore } from '@/take/take'

/** What changed since the version that was handed off before, to be sent with the files. */
const props = defineProps<{ number: number | undefined }>()
const take = useTakeStore()
const { copyValue, isCopied } = useCopy()
const { answer: found, problem } = useFollowing(
  () => {
    const id = take.take?.id
    return props.number && id ? { take_id: id, number: props.number } : undefined
  },
  (path, signal) =>
    answerOf(
      api.GET('/api/takes/{take_id}/versions/{number}/changes', { params: { path }, signal }),
    ),
)
</script>

<template>
  <p v-if="problem" role="alert" class="font-semibold">{{ problem }}</p>
  <p v-else-if="!number" class="max-w-130 text-quiet">
    Nothing handed off yet. After your second handoff, a list of changes appears here, ready to
    paste into a message.
  </p>
  <section v-else-if="found" class="max-w-180" aria-label="Changes">
    <h2 class="text-title">
      Version {{ number }}<template v-if="found.since">, since version {{ found.since }}</template>
    </h2>
    <pre
      class="value mt-2 border border-ink bg-sheet p-3 whitespace-pre-wrap"
      data-testid="changes"
      >{{ found.text }}</pre>
    <button type="button" class="button mt-2" @click="copyValue(found.text, 'changes')">
      {{ isCopied('changes') ? 'Copied' : 'Copy the text' }}
    </button>
  </section>
</template>
