<script setup lang="ts">
import { ref } from 'vue'
import type { Source } from '@/api/types'
import { countOf } from '@/format'

defineProps<{ sources: readonly Source[]; selected: string | undefined; reading: string }>()
const emit = defineEmits<{ select: [id: string]; file: [file: File]; cancel: [] }>()
const picker = ref<HTMLInputElement>()

function picked() {
  const file = picker.value?.files?.[0]
  if (file) emit('file', file)
  if (picker.value) picker.value.value = ''
}
</script>

<template>
  <div class="flex flex-col gap-2 border-r border-hair bg-sheet p-3">
    <h2 class="text-body">Where colour comes from</h2>
    <ul class="flex flex-col gap-2">
      <li v-for="source in sources" :key="source.id">
        <button
          type="button"
          class="flex w-full items-center gap-2 border p-1.5 text-left"
          :class="selected === source.id ? 'border-ink' : 'border-hair hover:border-ink'"
          :aria-pressed="selected === source.id"
          @click="emit('select', source.id)"
        >
          <span
            class="flex h-10.5 w-10.5 flex-none items-center justify-center overflow-hidden bg-plate"
          >
            <img :src="`/api/sources/${source.id}/preview`" alt="" class="max-h-full max-w-full" />
          </span>
          <span class="min-w-0">
            <span class="block truncate font-semibold" :title="source.name">{{ source.name }}</span>
            <span class="block text-quiet">
              {{ countOf(source.colors.length, 'colour', 'colours')
              }}{{ source.exact ? ', exact' : '' }}
            </span>
          </span>
        </button>
      </li>
    </ul>
    <div v-if="reading" class="border border-ink p-2" role="status">
      <p class="truncate">Reading {{ reading }} …</p>
      <div class="my-1.5 h-1 overflow-hidden bg-surround">
        <div class="h-full w-1/3 animate-pulse bg-ink"></div>
      </div>
      <button type="button" class="button w-full" @click="emit('cancel')">Cancel</button>
    </div>
    <button type="button" class="button mt-auto justify-start" @click="picker?.click()">
      Add a file
    </button>
    <input
      ref="picker"
      type="file"
      class="hidden"
      aria-label="Logo or image"
      accept="image/svg+xml,image/png,image/jpeg,image/webp,image/gif,image/avif,image/bmp,image/tiff"
      @change="picked"
    />
  </div>
</template>
