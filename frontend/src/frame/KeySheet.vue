<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import SheetDialog from '@/ui/SheetDialog.vue'
import { useTakeStore } from '@/take/take'

const shown = defineModel<boolean>({ required: true })
const take = useTakeStore()

const KEYS = [
  ['Control Z', 'Undo'],
  ['Control Shift Z', 'Redo'],
  ['Tab, arrows, Enter', 'Walk, choose, open'],
  ['Arrows on a note', 'Hue and contrast, with Shift in tens'],
  ['+ and − on a note', 'More and less chroma'],
  ['H on a note', 'Hold or release'],
  ['Delete on a note', 'Take the swatch out, where it has no role'],
  ['Shift and an arrow on a colour of the measure', 'Swap its role with its neighbour’s'],
  ['Control V', 'Paste an image or colours as a source'],
  ['Arrows on a picture', 'Move the magnifier a pixel, with Shift ten'],
  ['Enter on a picture', 'Add the colour under the magnifier'],
  ['Escape', 'Close a list or a sheet'],
  ['W', 'What the words mean'],
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
  <SheetDialog v-model="shown" title="Keys">
    <dl class="rule-list mt-3">
      <div v-for="[key, effect] in KEYS" :key="key" class="flex justify-between gap-4 py-1.5">
        <dt class="value">{{ key }}</dt>
        <dd class="text-right">{{ effect }}</dd>
      </div>
    </dl>
    <button type="button" class="button-solid mt-4" @click="shown = false">Close</button>
  </SheetDialog>
</template>
