<script setup lang="ts">
import { ref, watch } from 'vue'
import SheetDialog from './SheetDialog.vue'

const props = defineProps<{
  title: string
  name: string
  longest?: number
  label?: string
  verb?: string
}>()
const emit = defineEmits<{ rename: [name: string] }>()
const shown = defineModel<boolean>({ required: true })
const typed = ref('')
watch(shown, (isShown) => {
  if (isShown) typed.value = props.name
})

function rename() {
  const name = typed.value.trim()
  if (!name) return
  if (name !== props.name) emit('rename', name)
  shown.value = false
}
</script>

<template>
  <SheetDialog v-model="shown" :title="title">
    <form class="mt-3" @submit.prevent="rename">
      <label class="sr-only" for="new-name">{{ label ?? 'New name' }}</label>
      <input
        id="new-name"
        v-model="typed"
        class="field"
        :maxlength="longest ?? 80"
        autocomplete="off"
      />
      <div class="mt-4 flex gap-2">
        <button class="button-solid" :disabled="!typed.trim()">{{ verb ?? 'Rename' }}</button>
        <button type="button" class="button ml-auto" @click="shown = false">Cancel</button>
      </div>
    </form>
  </SheetDialog>
</template>
