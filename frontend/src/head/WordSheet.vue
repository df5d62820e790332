<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import SheetDialog from '@/ui/SheetDialog.vue'
import { WORDS } from './words'

/** What the words mean that are Tonada’s own, one key away. */
const shown = defineModel<boolean>({ required: true })
const wanted = ref('')
watch(shown, () => (wanted.value = ''))
const found = computed(() => {
  const text = wanted.value.trim().toLowerCase()
  return WORDS.filter((entry) => entry.some((part) => part.toLowerCase().includes(text)))
})
</script>

<template>
  <SheetDialog v-model="shown" title="Words" wide>
    <label class="sr-only" for="find-word">Find a word</label>
    <input
      id="find-word"
      v-model="wanted"
      type="search"
      class="field mt-3 w-full"
      placeholder="Find a word"
      autocomplete="off"
    />
    <div
      class="mt-3 max-h-100 overflow-y-auto"
      tabindex="0"
      role="region"
      aria-label="What words mean"
    >
      <dl class="rule-list">
        <div
          v-for="[word, sentence] in found"
          :key="word"
          class="grid grid-cols-[9rem_1fr] gap-4 py-1.5"
        >
          <dt class="font-semibold">{{ word }}</dt>
          <dd>{{ sentence }}</dd>
        </div>
      </dl>
      <p v-if="!found.length" class="text-quiet">No such word.</p>
    </div>
    <button type="button" class="button-solid mt-4" @click="shown = false">Close</button>
  </SheetDialog>
</template>
