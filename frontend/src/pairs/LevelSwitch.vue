<script setup lang="ts">
import type { Level } from '@/api/types'
import RadioBar from '@/ui/RadioBar.vue'

const level = defineModel<Level>({ required: true })
const LEVELS = [
  { value: 'A', label: 'A', hint: 'Asks nothing of the contrast of texts' },
  { value: 'AA', label: 'AA', hint: 'What most laws ask: 4.5:1 for text, 3:1 for large text' },
  { value: 'AAA', label: 'AAA', hint: 'Stricter: 7:1 for text, 4.5:1 for large text' },
] as const
</script>

<template>
  <RadioBar v-model="level" label="WCAG 2.2 level" :options="LEVELS" />
</template>
