<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import ChoiceList from '@/ui/ChoiceList.vue'
import SheetDialog from '@/ui/SheetDialog.vue'
import { api, answerOf } from '@/api/client'
import { useAnswer } from '@/ui/useAnswer'

const emit = defineEmits<{ keep: [words: string[], field: string | null] }>()
const shown = defineModel<boolean>({ required: true })
const { answer: vocabulary, ask } = useAnswer(() => answerOf(api.GET('/api/moods')), false)
const words = ref<string[]>([])
const field = ref('')

watch(shown, (isShown) => {
  words.value = []
  field.value = ''
  if (isShown && !vocabulary.value) void ask()
})

const fields = computed(() => [
  { value: '', label: 'Any field of work' },
  ...(vocabulary.value?.fields ?? []).map((one) => ({ value: one, label: one })),
])
const isFull = computed(() => words.value.length >= (vocabulary.value?.most ?? 3))

function toggle(word: string) {
  words.value = words.value.includes(word)
    ? words.value.filter((one) => one !== word)
    : [...words.value, word]
}

function keep() {
  emit('keep', words.value, field.value || null)
  shown.value = false
}
</script>

<template>
  <SheetDialog
    v-model="shown"
    wide
    title="Start from a mood"
    description="Choose up to three words that fit the brand. The colours follow convention, not fact."
  >
    <div class="mt-3 flex flex-wrap gap-1.5" role="group" aria-label="Words, up to three">
      <button
        v-for="word in vocabulary?.words ?? []"
        :key="word"
        type="button"
        class="button min-h-7 px-2.5 font-medium"
        :class="words.includes(word) && 'bg-ink! text-sheet!'"
        :aria-pressed="words.includes(word)"
        :disabled="isFull && !words.includes(word)"
        @click="toggle(word)"
      >
        {{ word }}
      </button>
    </div>
    <ChoiceList v-model="field" class="mt-3 w-60" label="Field of work" :options="fields" />
    <div class="mt-5 flex gap-2">
      <button type="button" class="button-solid" :disabled="!words.length" @click="keep">
        Show colours
      </button>
      <button type="button" class="button ml-auto" @click="shown = false">Cancel</button>
    </div>
  </SheetDialog>
</template>
