<script setup lang="ts">
import { nextTick, ref, useTemplateRef } from 'vue'
import SheetDialog from '@/ui/SheetDialog.vue'
import RemarkThread from './RemarkThread.vue'
import SayForm from './SayForm.vue'
import type { OpenReview } from './useReview'
import type { Thread } from './useThreads'

/** Remarks, in threads; and the place to say something. On a phone that is asked over the page. */
const props = defineProps<{
  review: OpenReview
  threads: readonly Thread[]
  abouts: readonly { value: string; label: string }[]
  isNarrow: boolean
  isOnline: boolean
  longest: number
  send: (about: string, text: string) => Promise<boolean>
}>()
const emit = defineEmits<{ show: [id: string] }>()
const about = defineModel<string>('about', { required: true })
const chosen = defineModel<string | undefined>('chosen', { required: true })
const isWriting = ref(false)
const list = useTemplateRef<HTMLElement>('list')
const form = useTemplateRef<InstanceType<typeof SayForm>>('form')

async function sendAs(name: string, text: string): Promise<boolean> {
  props.review.rename(name)
  const isSaid = await props.send(about.value, text)
  if (isSaid) {
    isWriting.value = false
    about.value = 'whole'
    await nextTick()
    const [last] = props.threads.slice(-1)
    if (last) reveal(last.id)
  }
  return isSaid
}
/** The place to write is gone to. */
async function write() {
  isWriting.value = props.isNarrow
  await form.value?.focus()
}
function reveal(id: string) {
  chosen.value = id
  list.value?.querySelector(`[data-thread="${id}"]`)?.scrollIntoView({ block: 'nearest' })
}
defineExpose({ write, reveal })
</script>

<template>
  <aside
    class="flex min-h-0 flex-col border border-ink bg-sheet"
    aria-label="Remarks"
    data-testid="said"
  >
    <h2 class="px-3.5 pt-3 text-[15px]">Remarks</h2>
    <div
      ref="list"
      class="flex min-h-0 flex-1 flex-col gap-2.5 overflow-y-auto px-3.5 py-2.5"
      tabindex="0"
      role="region"
      aria-label="Remarks"
    >
      <RemarkThread
        v-for="thread in threads"
        :key="thread.id"
        :data-thread="thread.id"
        :remarks="thread.remarks"
        :number="thread.number"
        :about="thread.about"
        :is-chosen="chosen === thread.id"
        :may-answer="isOnline && !!review.name.value"
        :longest="longest"
        :edit="review.edit"
        :take-back="review.takeBack"
        :answer="
          (text) =>
            review.say({
              name: review.name.value,
              about: thread.first.about,
              text,
              answers: thread.id,
            })
        "
        @choose="((chosen = thread.id), emit('show', thread.id))"
      />
      <p class="text-quiet">
        {{
          isNarrow
            ? 'Touch any part of the page to add a remark.'
            : 'Click any part of a page to add a remark.'
        }}
      </p>
    </div>
    <div class="border-t border-hair p-3.5">
      <button v-if="isNarrow" type="button" class="button-solid w-full" @click="write">
        Add a remark
      </button>
      <SayForm
        v-else
        ref="form"
        v-model:about="about"
        :abouts="abouts"
        :name="review.name.value"
        :longest="longest"
        :send="(text, name) => sendAs(name, text)"
      />
    </div>
    <SheetDialog v-if="isNarrow" v-model="isWriting" title="Add a remark">
      <SayForm
        v-model:about="about"
        class="mt-3"
        :abouts="abouts"
        :name="review.name.value"
        :longest="longest"
        :send="(text, name) => sendAs(name, text)"
      />
    </SheetDialog>
  </aside>
</template>
