<script setup lang="ts">
import { useWorkspace } from '@/frame/useWorkspace'

useWorkspace()
</script>

<template>
  <RouterView />
</template>
