<script setup lang="ts">
import AppMark from '@/head/AppMark.vue'
</script>

<template>
  <main class="p-6">
    <AppMark />
    <h1 class="mt-6 text-title">There is nothing at this address</h1>
    <p class="mt-1">It may have been copied incompletely.</p>
    <RouterLink to="/" class="button mt-4">All brands</RouterLink>
  </main>
</template>
