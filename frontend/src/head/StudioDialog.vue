<script setup lang="ts">
import { ref, watch } from 'vue'
import { api, explain, answerOf } from '@/api/client'
import SheetDialog from '@/ui/SheetDialog.vue'

/** Who the studio is: what clients read, and where it is told what came back. Set once. */
const shown = defineModel<boolean>({ required: true })
const studio = ref('')
const notified = ref('')
const sends = ref('')
const problem = ref('')
const isLoaded = ref(false)

async function read(isShown: boolean) {
  if (!isShown) return
  problem.value = ''
  isLoaded.value = false
  try {
    const found = await answerOf(api.GET('/api/studio'))
    studio.value = found.studio
    notified.value = found.notified
    sends.value = found.sends
    isLoaded.value = true
  } catch (reason) {
    problem.value = explain(reason)
  }
}
watch(shown, read, { immediate: true })

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
    description="Clients see this name on reviews and in emails."
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
