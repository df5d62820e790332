<script setup lang="ts" generic="Name extends keyof FileOptions">
import type { FileOptions } from '@/api/types'

/** What stands on a file or doesn't, each with a box to tick. */
defineProps<{
  legend: string
  boxes: readonly { name: Name; label: string }[]
  options: FileOptions
}>()
const emit = defineEmits<{ toggle: [name: Name] }>()
</script>

<template>
  <fieldset class="mt-2">
    <legend class="text-quiet">{{ legend }}</legend>
    <label v-for="one in boxes" :key="one.name" class="flex min-h-6.5 items-center gap-2">
      <input
        type="checkbox"
        class="accent-ink"
        :checked="Boolean(options[one.name])"
        @change="emit('toggle', one.name)"
      />
      {{ one.label }}
    </label>
  </fieldset>
</template>
