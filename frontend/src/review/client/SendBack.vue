<script setup lang="ts">
import { computed, ref } from 'vue'
import SheetDialog from '@/ui/SheetDialog.vue'
import { saveFile } from '@/ui/fetchFile'
import { useCopy } from '@/ui/useCopy'
import type { Talk } from './talk'

/** The answers to a review that came as a file: saved as one, or copied as a text into a mail. */
const props = defineProps<{ talk: Talk; name: string; brand: string }>()
const emit = defineEmits<{ named: [name: string] }>()
const shown = defineModel<boolean>({ required: true })
const typed = ref(props.name)
const { copyValue, isCopied } = useCopy()
const name = computed(() => (props.name || typed.value).trim())

function save() {
  emit('named', name.value)
  const file = props.talk.answers?.(name.value).file ?? ''
  saveFile(new Blob([file], { type: 'application/json' }), `${props.brand} answers.json`)
}
async function copy() {
  emit('named', name.value)
  await copyValue(props.talk.answers?.(name.value).text ?? '', 'answers')
}
</script>

<template>
  <SheetDialog
    v-model="shown"
    title="Send your answers back"
    description="This page has no connection to your designer. Save your answers and send the file, or copy them into a mail."
  >
    <label v-if="!props.name" class="mt-3 block"
      >Your name
      <input v-model="typed" class="field mt-1" dir="auto" maxlength="80" autocomplete="name" />
    </label>
    <div class="mt-4 flex flex-wrap gap-2">
      <button type="button" class="button-solid" :disabled="!name" @click="save">
        Save your answers
      </button>
      <button type="button" class="button" :disabled="!name" @click="copy">
        {{ isCopied('answers') ? 'Copied' : 'Copy them as text' }}
      </button>
      <button type="button" class="button ml-auto" @click="shown = false">Close</button>
    </div>
  </SheetDialog>
</template>
