<script setup lang="ts">
import { ref, watch } from 'vue'
import { api, explain, answerOf } from '@/api/client'
import { pickedFiles } from '@/ui/pickedFiles'
import SheetDialog from '@/ui/SheetDialog.vue'

/** Who the studio is: what clients read, and where it is told what came back. Set once. */
const shown = defineModel<boolean>({ required: true })
const studio = ref('')
const notified = ref('')
const sends = ref('')
const problem = ref('')
const isLoaded = ref(false)
/** A data address; empty where there is none. */
const mark = ref('')
const picker = ref<HTMLInputElement>()

async function read(isShown: boolean) {
  if (!isShown) return
  problem.value = ''
  isLoaded.value = false
  try {
    const found = await answerOf(api.GET('/api/studio'))
    studio.value = found.studio
    notified.value = found.notified
    sends.value = found.sends
    mark.value = found.mark
    isLoaded.value = true
  } catch (reason) {
    problem.value = explain(reason)
  }
}
watch(shown, read, { immediate: true })

/** Set at once, as a file can't wait for the form. */
async function setMark(event: Event) {
  const [file] = pickedFiles(event)
  if (!file) return
  problem.value = ''
  try {
    const form = new FormData()
    form.append('file', file)
    // The document types a file as text; what travels is the form.
    const body = { file: '' }
    const found = await answerOf(api.PUT('/api/studio/mark', { body, bodySerializer: () => form }))
    mark.value = found.mark
  } catch (reason) {
    problem.value = explain(reason)
  }
}
async function removeMark() {
  problem.value = ''
  try {
    await api.DELETE('/api/studio/mark')
    mark.value = ''
  } catch (reason) {
    problem.value = explain(reason)
  }
}

async function keep() {
  try {
    const body = { studio: studio.value.trim(), notified: notified.value.trim() }
    await answerOf(api.PUT('/api/studio', { body }))
    shown.value = false
  } catch (reason) {
    problem.value = explain(reason)
  }
}
</script>

<template>
  <SheetDialog
    v-model="shown"
    title="Studio"
    description="Clients see this name on reviews and in emails, and answer to this address."
  >
    <form class="mt-3 flex flex-col gap-3" @submit.prevent="keep">
      <label class="block"
        >Name of the studio
        <input
          v-model="studio"
          class="field mt-1"
          dir="auto"
          maxlength="80"
          autocomplete="organization"
        />
      </label>
      <label class="block"
        >Notify this address
        <input
          v-model="notified"
          type="email"
          class="field mt-1"
          maxlength="190"
          autocomplete="email"
          placeholder="nobody"
        />
      </label>
      <div>
        <p>Mark in emails</p>
        <img
          v-if="mark"
          :src="mark"
          alt="The studio’s mark"
          class="keeps-color mt-1 h-14 max-w-full border border-hair bg-plate object-contain p-2"
        />
        <div class="mt-1 flex gap-2">
          <button type="button" class="button" :disabled="!isLoaded" @click="picker?.click()">
            {{ mark ? 'Another picture' : 'Choose a picture' }}
          </button>
          <button v-if="mark" type="button" class="button" @click="removeMark">Remove</button>
        </div>
        <input
          ref="picker"
          type="file"
          class="hidden"
          aria-label="The studio’s mark"
          data-testid="mark-file"
          accept="image/png,image/jpeg,image/webp,image/gif,image/svg+xml"
          @change="setMark"
        />
      </div>
      <p v-if="sends === 'outbox'" class="text-quiet">
        No mail server is set up, so emails stay here:
        <RouterLink :to="{ name: 'mails' }" class="underline" @click="shown = false"
          >read them</RouterLink
        >.
      </p>
      <p v-if="problem" role="alert" class="font-semibold">{{ problem }}</p>
      <div class="flex gap-2">
        <button class="button-solid" :disabled="!isLoaded">Save</button>
        <button type="button" class="button ml-auto" @click="shown = false">Cancel</button>
      </div>
    </form>
  </SheetDialog>
</template>
