<script setup lang="ts">
import { ACCEPTED } from '@/api/constants'
import { pickedFiles } from '@/ui/pickedFiles'

/** Ways to begin, beside the list: a logo dropped anywhere is the shortest. */
defineProps<{ reading: string; error: string; isOver: boolean }>()
const name = defineModel<string>('name', { required: true })
const emit = defineEmits<{
  files: [files: File[]]
  from: [start: 'list' | 'mood' | 'ready-made']
  name: []
}>()

function picked(event: Event) {
  const files = pickedFiles(event)
  if (files.length) emit('files', files)
}
</script>

<template>
  <aside
    class="border-l border-hair bg-sheet p-4 max-[900px]:border-t max-[900px]:border-l-0"
    aria-label="A new brand"
  >
    <div
      class="border p-5 text-center"
      :class="isOver ? 'border-2 border-ink' : 'border-dashed border-ink'"
    >
      <h2 class="text-title leading-tight">Start with a logo</h2>
      <p class="mt-2 text-quiet">
        Drop it anywhere on this page. The file’s name becomes the brand’s, and Tonada reads its
        colours at once.
      </p>
      <label
        class="button-solid mt-3 cursor-pointer focus-within:outline-2 focus-within:outline-offset-2 focus-within:outline-ink"
      >
        Choose a file
        <input
          type="file"
          class="sr-only"
          :accept="ACCEPTED.pictures"
          data-testid="brand-logo"
          @change="picked"
        />
      </label>
      <p v-if="reading" role="status" class="mt-2 font-semibold">Reading {{ reading }} …</p>
    </div>
    <p v-if="error" id="brand-error" role="alert" class="mt-3 font-semibold">
      {{ error }}
    </p>
    <h3 class="mt-4 text-quiet">or start from</h3>
    <form class="mt-2 grid gap-1.5" @submit.prevent="emit('name')">
      <label class="sr-only" for="brand-name">Name of the new brand</label>
      <input
        id="brand-name"
        v-model="name"
        class="field w-full"
        placeholder="Name of a client or a site"
        maxlength="80"
        autocomplete="off"
        :aria-describedby="error ? 'brand-error' : undefined"
      />
      <button type="button" class="button justify-start" @click="emit('from', 'list')">
        one colour or a list
      </button>
      <label
        class="button cursor-pointer justify-start focus-within:outline-2 focus-within:outline-offset-2 focus-within:outline-ink"
      >
        an existing site’s stylesheet
        <input type="file" class="sr-only" multiple :accept="ACCEPTED.styles" @change="picked" />
      </label>
      <label
        class="button cursor-pointer justify-start focus-within:outline-2 focus-within:outline-offset-2 focus-within:outline-ink"
      >
        a Tonada file
        <input
          type="file"
          class="sr-only"
          :accept="ACCEPTED.own"
          data-testid="own-file"
          @change="picked"
        />
      </label>
      <button type="button" class="button justify-start" @click="emit('from', 'mood')">
        a mood
      </button>
      <button type="button" class="button justify-start" @click="emit('from', 'ready-made')">
        a ready-made palette
      </button>
      <button class="button-solid justify-start">New brand with only a name</button>
    </form>
  </aside>
</template>
