<script setup lang="ts">
import type { Level } from '@/api/types'
import RadioBar from '@/ui/RadioBar.vue'

const level = defineModel<Level>({ required: true })
const LEVELS = (['A', 'AA', 'AAA'] as const).map((value) => ({ value, label: value }))
</script>

<template>
  <RadioBar v-model="level" label="WCAG 2.2 level" :options="LEVELS" />
</template>
