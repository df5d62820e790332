<script setup lang="ts">
import type { Level } from '@/api/types'
import RadioBar from '@/ui/RadioBar.vue'

const level = defineModel<Level>({ required: true })
const LEVELS = [
  { value: 'A', label: 'A', hint: 'Asks nothing of the contrast of text' },
  { value: 'AA', label: 'AA', hint: 'What most laws ask for' },
  { value: 'AAA', label: 'AAA', hint: 'Stricter than most laws: more contrast for every text' },
] as const
</script>

<template>
  <RadioBar v-model="level" label="WCAG 2.2 level" :options="LEVELS" />
</template>
