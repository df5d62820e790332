<script setup lang="ts">
import RadioBar from '@/ui/RadioBar.vue'
import type { Scheme } from '@/take/scheme'

const scheme = defineModel<Scheme>({ required: true })
const SCHEMES = [
  { value: 'day', label: 'Day' },
  { value: 'night', label: 'Night' },
] as const
</script>

<template>
  <RadioBar v-model="scheme" label="Roles by" :options="SCHEMES" small />
</template>
