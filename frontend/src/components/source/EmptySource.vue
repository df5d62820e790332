<script setup lang="ts">
defineProps<{ isOver: boolean }>()
const emit = defineEmits<{ file: [file: File] }>()

function picked(event: Event) {
  const input = event.target
  if (!(input instanceof HTMLInputElement)) return
  const file = input.files?.[0]
  if (file) emit('file', file)
  input.value = ''
}
</script>

<template>
  <div
    class="flex flex-1 flex-col items-center justify-center border bg-sheet p-8 text-center"
    :class="isOver ? 'border-2 border-ink' : 'border-dashed border-ink'"
  >
    <h2 class="text-title">Start with the logo</h2>
    <p class="mt-1 max-w-100 text-quiet">
      Drop a file here, or paste an image. SVG, PNG, JPEG, WebP, GIF, AVIF, BMP or TIFF, up to 20
      MB. Its colours are read with the share that each covers, and a role is proposed for each.
    </p>
    <label
      class="button-solid mt-4 cursor-pointer focus-within:outline-2 focus-within:outline-offset-2 focus-within:outline-ink"
    >
      Choose a file
      <input
        type="file"
        class="sr-only"
        data-testid="first-file"
        accept="image/*,.svg"
        @change="picked"
      />
    </label>
  </div>
</template>
