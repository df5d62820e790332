<script setup lang="ts">
import { RadioGroup, RadioGroupOption } from '@headlessui/vue'
import type { Scheme } from '@/document/scheme'

const scheme = defineModel<Scheme>({ required: true })
const SCHEMES = [
  { value: 'day', label: 'Day' },
  { value: 'night', label: 'Night' },
] as const
</script>

<template>
  <RadioGroup v-model="scheme" aria-label="Roles by" class="flex border border-ink">
    <RadioGroupOption
      v-for="one in SCHEMES"
      :key="one.value"
      v-slot="{ checked }"
      :value="one.value"
      class="cursor-pointer border-r border-ink last:border-r-0 -outline-offset-2"
    >
      <span
        class="block px-2.5 leading-5.5 font-semibold"
        :class="checked && 'bg-ink text-sheet'"
        >{{ one.label }}</span
      >
    </RadioGroupOption>
  </RadioGroup>
</template>
