<script setup lang="ts">
import { onBeforeUnmount, onMounted } from 'vue'

/** Tells when an option of a list becomes the active one, by pointer or keyboard, and when it no longer is. */
const emit = defineEmits<{ in: []; out: [] }>()
onMounted(() => {
  emit('in')
})
onBeforeUnmount(() => {
  emit('out')
})
</script>

<template><span hidden></span></template>
