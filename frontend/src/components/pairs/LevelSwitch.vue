<script setup lang="ts">
import { RadioGroup, RadioGroupOption } from '@headlessui/vue'
import type { Level } from '@/api/types'

const level = defineModel<Level>({ required: true })
const LEVELS: readonly Level[] = ['A', 'AA', 'AAA']
</script>

<template>
  <RadioGroup
    v-model="level"
    aria-label="Level of WCAG 2.2 that this take is held to"
    class="flex border border-ink"
  >
    <RadioGroupOption
      v-for="option in LEVELS"
      :key="option"
      v-slot="{ checked }"
      :value="option"
      class="cursor-pointer border-ink -outline-offset-3 not-first:border-l"
    >
      <span
        class="block px-3 py-1 font-semibold"
        :class="checked ? 'bg-ink text-sheet' : 'bg-sheet'"
        >{{ option }}</span
      >
    </RadioGroupOption>
  </RadioGroup>
</template>
