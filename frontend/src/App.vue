<script setup lang="ts">
import { useWorkspace } from '@/composables/useWorkspace'

useWorkspace()
</script>

<template>
  <RouterView />
</template>
