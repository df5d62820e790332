<script setup lang="ts">
import { ACCEPTED } from '@/api/constants'
import { pickedFiles } from '@/ui/pickedFiles'

defineProps<{ isOver: boolean }>()
const emit = defineEmits<{ files: [files: File[]]; paste: []; mood: [] }>()

function picked(event: Event) {
  const files = pickedFiles(event)
  if (files.length) emit('files', files)
}
</script>

<template>
  <div
    class="flex flex-1 flex-col items-center justify-center border bg-sheet p-5 text-center"
    :class="isOver ? 'border-2 border-ink' : 'border-dashed border-ink'"
  >
    <h2 class="text-title">Start with the logo</h2>
    <p class="mt-1 max-w-110 text-quiet">
      Drop a file here, or paste an image. SVG, PNG, JPEG, WebP, GIF, AVIF, BMP or TIFF, up to 20
      MB. Tonada finds its colours, measures how much each covers, and suggests roles.
    </p>
    <label
      class="button-solid mt-3 cursor-pointer focus-within:outline-2 focus-within:outline-offset-2 focus-within:outline-ink"
    >
      Choose a file
      <input
        type="file"
        class="sr-only"
        multiple
        data-testid="first-file"
        :accept="ACCEPTED.anything"
        @change="picked"
      />
    </label>
    <p class="mt-4 max-w-110 text-quiet">
      No logo yet? You can also start from a stylesheet, a page, a list of colours, design tokens,
      one colour, a mood or a ready-made palette.
    </p>
    <div class="mt-3 flex flex-wrap justify-center gap-2">
      <button type="button" class="button" @click="emit('paste')">Type or paste colours</button>
      <button type="button" class="button" @click="emit('mood')">Start from a mood</button>
      <RouterLink :to="{ name: 'ready-made' }" class="button">Ready-made palettes</RouterLink>
    </div>
  </div>
</template>
