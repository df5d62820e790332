<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { useEventListener } from '@vueuse/core'
import { useTakeStore } from '@/stores/take'

const shown = defineModel<boolean>({ required: true })
const take = useTakeStore()

const KEYS = [
  ['Control Z', 'Undo'],
  ['Control Shift Z', 'Redo'],
  ['Tab, arrows, Enter', 'Walk, choose, open'],
  ['Control V', 'Paste an image or colours as a source'],
  ['Arrows on a picture', 'Move the magnifier a pixel, with Shift ten'],
  ['Enter on a picture', 'Add the colour under the magnifier'],
  ['Escape', 'Close a list or a sheet'],
  ['?', 'This sheet'],
] as const

const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement

useEventListener(window, 'keydown', (event) => {
  if (isTyping(event.target)) return
  if (event.key === '?') shown.value = true
  if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z') {
    event.preventDefault()
    if (event.shiftKey) take.redo()
    else take.undo()
  }
})
</script>

<template>
  <Dialog :open="shown" class="relative z-40" @close="shown = false">
    <div class="fixed inset-0 bg-ink/20" aria-hidden="true"></div>
    <div class="fixed inset-0 flex items-center justify-center p-4">
      <DialogPanel class="w-96 border border-ink bg-sheet p-5">
        <DialogTitle class="text-title font-semibold">Keys</DialogTitle>
        <dl class="rule-list mt-3">
          <div v-for="[key, effect] in KEYS" :key="key" class="flex justify-between py-1.5">
            <dt class="value">{{ key }}</dt>
            <dd>{{ effect }}</dd>
          </div>
        </dl>
        <button type="button" class="button-solid mt-4" @click="shown = false">Close</button>
      </DialogPanel>
    </div>
  </Dialog>
</template>
