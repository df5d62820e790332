<script setup lang="ts" generic="T extends string | number">
/** Words of which any number may hold. */
const chosen = defineModel<T[]>({ required: true })
defineProps<{ label: string; words: readonly T[] }>()

function toggle(word: T) {
  chosen.value = chosen.value.includes(word)
    ? chosen.value.filter((one) => one !== word)
    : [...chosen.value, word]
}
</script>

<template>
  <div class="flex flex-wrap gap-1" role="group" :aria-label="label">
    <button
      v-for="word in words"
      :key="word"
      type="button"
      class="min-h-6 border border-ink px-1.5 font-medium"
      :class="chosen.includes(word) ? 'bg-ink text-sheet' : 'hover:bg-surround'"
      :aria-pressed="chosen.includes(word)"
      @click="toggle(word)"
    >
      {{ word }}
    </button>
  </div>
</template>
