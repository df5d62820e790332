<script setup lang="ts">
import { computed, nextTick, ref, useId, useTemplateRef, watch } from 'vue'
import ChoiceList from '@/ui/ChoiceList.vue'

/** A remark that is being written, and what it is about: chosen from a list, or touched on the page. */
const props = defineProps<{
  name: string
  abouts: readonly { value: string; label: string }[]
  longest: number
  send: (text: string, name: string) => Promise<boolean>
}>()
const about = defineModel<string>('about', { required: true })
const id = useId()
const text = ref('')
const typedName = ref(props.name)
const isSending = ref(false)
const asksName = ref(!props.name)
const field = useTemplateRef<HTMLTextAreaElement>('field')
watch(
  () => props.name,
  (name) => {
    typedName.value = name
    asksName.value = !name
  },
)
const isReady = computed(() => text.value.trim() && typedName.value.trim() && !isSending.value)

async function submit() {
  if (!isReady.value) return
  isSending.value = true
  if (await props.send(text.value.trim(), typedName.value.trim())) text.value = ''
  isSending.value = false
}
async function focus() {
  await nextTick()
  field.value?.focus()
}
defineExpose({ focus })
</script>

<template>
  <form class="flex flex-col gap-2" aria-label="Add a remark" @submit.prevent="submit">
    <label class="sr-only" :for="`${id}-text`">Your remark</label>
    <textarea
      :id="`${id}-text`"
      ref="field"
      v-model="text"
      class="field min-h-18 py-1.5"
      dir="auto"
      :maxlength="longest"
      placeholder="Say what you think…"
    ></textarea>
    <ChoiceList v-model="about" label="About" align="left" up :options="abouts" />
    <div class="flex items-center gap-2">
      <template v-if="asksName">
        <label class="sr-only" :for="`${id}-name`">Your name</label>
        <input
          :id="`${id}-name`"
          v-model="typedName"
          class="field"
          dir="auto"
          maxlength="80"
          autocomplete="name"
          placeholder="Your name"
        />
      </template>
      <p v-else class="min-w-0 flex-1 truncate text-quiet">
        as <span dir="auto">{{ name }}</span>
        <button type="button" class="ml-1 underline" @click="asksName = true">not you?</button>
      </p>
      <button class="button-solid" :disabled="!isReady">Send</button>
    </div>
  </form>
</template>
