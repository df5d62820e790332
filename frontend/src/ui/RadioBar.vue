<script setup lang="ts" generic="T extends string">
import { RadioGroup, RadioGroupOption } from '@headlessui/vue'

/** A few choices side by side, one of which holds. */
const chosen = defineModel<T>({ required: true })
/** hint: what an option means, where its label is a short one. */
defineProps<{
  label: string
  options: readonly { value: T; label: string; hint?: string }[]
  small?: boolean
}>()
</script>

<template>
  <RadioGroup
    v-model="chosen"
    :aria-label="label"
    class="flex max-w-full flex-none overflow-x-auto border border-ink"
  >
    <RadioGroupOption
      v-for="one in options"
      :key="one.value"
      v-slot="{ checked }"
      :value="one.value"
      :title="one.hint"
      class="cursor-pointer border-ink -outline-offset-3 not-first:border-l"
    >
      <span
        class="block font-semibold whitespace-nowrap"
        :class="[
          checked ? 'bg-ink text-sheet' : 'bg-sheet',
          small ? 'px-2.5 leading-6' : 'px-3 py-1',
        ]"
        >{{ one.label }}</span
      >
    </RadioGroupOption>
  </RadioGroup>
</template>
