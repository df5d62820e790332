<script setup lang="ts">
import { ref } from 'vue'
import SourceCard from './SourceCard.vue'
import { ACCEPTED } from '@/api/constants'
import type { Source } from '@/api/types'
import type { Reading } from '@/take/brand'

defineProps<{
  sources: readonly Source[]
  selected: string | undefined
  reading: Reading | undefined
  picksScreen: boolean
}>()
const emit = defineEmits<{
  select: [id: string]
  files: [files: File[]]
  cancel: []
  paste: []
  mood: []
  screen: []
  rename: [source: Source]
  replace: [source: Source]
  remove: [source: Source]
}>()
const picker = ref<HTMLInputElement>()

function picked() {
  const files = [...(picker.value?.files ?? [])]
  if (files.length) emit('files', files)
  if (picker.value) picker.value.value = ''
}
</script>

<template>
  <div class="flex min-h-0 flex-col gap-2 border-r border-hair bg-sheet p-3">
    <h2 class="text-body">Sources</h2>
    <ul class="-m-1 flex min-h-0 flex-col gap-2 overflow-y-auto p-1">
      <li v-for="source in sources" :key="source.id">
        <SourceCard
          :source="source"
          :is-selected="selected === source.id"
          @select="emit('select', source.id)"
          @rename="emit('rename', source)"
          @replace="emit('replace', source)"
          @remove="emit('remove', source)"
        />
      </li>
    </ul>
    <div v-if="reading" class="border border-ink p-2" role="status">
      <p class="truncate">Reading {{ reading.name }} …</p>
      <div class="my-1.5 h-1 overflow-hidden bg-surround">
        <div
          class="h-full bg-ink"
          :class="reading.progress === undefined && 'w-1/3 animate-pulse'"
          :style="
            reading.progress === undefined ? undefined : { width: `${reading.progress * 100}%` }
          "
        ></div>
      </div>
      <button type="button" class="button w-full" @click="emit('cancel')">Cancel</button>
    </div>
    <div class="mt-auto flex flex-col gap-1.5 pt-2">
      <button type="button" class="button justify-start" @click="picker?.click()">
        Add a file
      </button>
      <button type="button" class="button justify-start" @click="emit('paste')">
        Type or paste colours
      </button>
      <button v-if="picksScreen" type="button" class="button justify-start" @click="emit('screen')">
        Pick from screen
      </button>
      <p v-else class="text-small text-quiet">This browser can’t pick a colour off the screen.</p>
      <button type="button" class="button justify-start" @click="emit('mood')">
        Start from a mood
      </button>
      <RouterLink :to="{ name: 'ready-made' }" class="button justify-start"
        >Ready-made palettes</RouterLink
      >
    </div>
    <input
      ref="picker"
      type="file"
      class="hidden"
      multiple
      aria-label="Logo, image, list of colours or stylesheet"
      data-testid="any-file"
      :accept="ACCEPTED.anything"
      @change="picked"
    />
  </div>
</template>
