<script setup lang="ts">
import { computed } from 'vue'
import type { Component } from 'vue'
import { provideProof } from './context'
import type { ProofContext } from './context'

/** One of the sample pages. Its root has the variables of `rootVariables`. */
const props = defineProps<{ context: ProofContext }>()
/** A page of the core’s is drawn by the file with its name: “home” by HomePage. */
const pages = import.meta.glob<Component>('./pages/*Page.vue', { import: 'default', eager: true })
const component = computed(() => {
  const { page } = props.context
  return pages[`./pages/${page.charAt(0).toUpperCase()}${page.slice(1)}Page.vue`]
})
provideProof(() => props.context)
</script>

<template>
  <component :is="component" />
</template>
