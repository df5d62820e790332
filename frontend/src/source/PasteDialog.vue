<script setup lang="ts">
import { ref, watch } from 'vue'
import SheetDialog from '@/ui/SheetDialog.vue'
import { ACCEPTED } from '@/api/constants'
import { api, answerOf } from '@/api/client'
import { countOf } from '@/ui/format'
import { useFollowing } from '@/ui/useFollowing'

const props = defineProps<{ initial: string }>()
const emit = defineEmits<{ keep: [text: string]; file: [file: File] }>()
const shown = defineModel<boolean>({ required: true })
const text = ref('')
const picker = ref<HTMLInputElement>()

watch(
  shown,
  (isShown) => {
    if (isShown) text.value = props.initial
  },
  { immediate: true },
)
const { answer: understood, problem } = useFollowing(
  () => (text.value.trim() ? { text: text.value } : undefined),
  (body, signal) => answerOf(api.POST('/api/lists', { body, signal })),
  { keeps: false, wait: 120 },
)

function keep() {
  if (!understood.value) return
  emit('keep', text.value)
  shown.value = false
}

function picked() {
  const file = picker.value?.files?.[0]
  if (!file) return
  emit('file', file)
  shown.value = false
}
</script>

<template>
  <SheetDialog
    v-model="shown"
    wide
    title="Type or paste colours"
    description="One colour in any CSS notation or as decimals such as 43 58 140; or a whole list, a stylesheet’s custom properties, SCSS or Less variables, design tokens, a GPL palette, CSV."
  >
    <form class="mt-3" @submit.prevent="keep">
      <label class="sr-only" for="paste-text">Colours</label>
      <textarea
        id="paste-text"
        v-model="text"
        class="field value h-32 resize-y py-1.5"
        spellcheck="false"
        placeholder="Primary: #2b3a8c"
        aria-describedby="paste-problem"
        @keydown.ctrl.enter="keep"
      ></textarea>
      <p id="paste-problem" role="alert" class="mt-1 font-semibold empty:hidden">{{ problem }}</p>
      <div v-if="understood" class="mt-2" role="status" data-testid="understood">
        <p class="text-quiet">
          {{ countOf(understood.colors.length, 'colour', 'colours') }}, read as
          {{ understood.format }}
        </p>
        <ul class="mt-1 flex max-h-36 flex-wrap gap-x-4 gap-y-1 overflow-auto">
          <li v-for="(color, row) in understood.colors" :key="row" class="flex items-center gap-2">
            <span
              class="keeps-color h-5 w-5 border border-hair"
              :style="{ backgroundColor: color.hex }"
            ></span>
            <span class="value">{{ color.hex }}</span>
            <span class="max-w-40 truncate">{{ color.name }}</span>
          </li>
        </ul>
        <ul v-if="understood.warnings.length" class="mt-2 max-h-24 overflow-auto text-quiet">
          <li v-for="(warning, row) in understood.warnings" :key="row">
            {{ warning.line ? `Line ${warning.line}: ` : '' }}{{ warning.text }}
          </li>
        </ul>
      </div>
      <div class="mt-4 flex gap-2">
        <button class="button-solid" :disabled="!understood">Keep as a source</button>
        <button type="button" class="button" @click="picker?.click()">Read a file as a list</button>
        <button type="button" class="button ml-auto" @click="shown = false">Cancel</button>
      </div>
      <input
        ref="picker"
        type="file"
        class="hidden"
        aria-label="File with a list of colours"
        :accept="ACCEPTED.lists"
        @change="picked"
      />
    </form>
  </SheetDialog>
</template>
