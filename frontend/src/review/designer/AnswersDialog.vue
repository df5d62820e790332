<script setup lang="ts">
import { ref, watch } from 'vue'
import SheetDialog from '@/ui/SheetDialog.vue'

/** What came back from a review that was sent as a file: the file itself, or the text of a mail. */
const props = defineProps<{
  problem: string
  take: (text: string) => Promise<{ name: string; added: number; is_late: boolean } | undefined>
}>()
const shown = defineModel<boolean>({ required: true })
const text = ref('')
const done = ref('')
watch(shown, (isShown) => {
  if (isShown) text.value = done.value = ''
})

async function takeIn(content: string) {
  done.value = ''
  const found = await props.take(content)
  if (!found) return
  text.value = ''
  done.value = `${found.name}’s answers were imported, with ${
    found.added === 1 ? 'one new remark' : `${found.added.toString()} new remarks`
  }.${found.is_late ? ' The choice came after the approval, so it does not count.' : ''}`
}
async function readFile(event: Event) {
  const input = event.target as HTMLInputElement
  const [file] = input.files ?? []
  if (file) await takeIn(await file.text())
  input.value = ''
}
</script>

<template>
  <SheetDialog
    v-model="shown"
    title="Import answers"
    description="From a review that you sent as a file. They count like answers text through a link."
  >
    <form class="mt-3 flex flex-col gap-3" @submit.prevent="takeIn(text)">
      <label class="block"
        >The file that came back
        <input
          type="file"
          accept=".json,.txt,application/json,text/plain"
          class="mt-1 block w-full"
          @change="readFile"
        />
      </label>
      <label class="block"
        >Or the text of the email
        <textarea
          v-model="text"
          class="field value mt-1 min-h-24 py-1"
          spellcheck="false"
        ></textarea>
      </label>
      <p v-if="problem" role="alert" class="font-semibold">{{ problem }}</p>
      <p v-if="done" role="status" class="font-semibold">{{ done }}</p>
      <div class="flex gap-2">
        <button class="button-solid" :disabled="!text.trim()">Import</button>
        <button type="button" class="button ml-auto" @click="shown = false">Close</button>
      </div>
    </form>
  </SheetDialog>
</template>
