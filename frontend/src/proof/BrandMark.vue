<script setup lang="ts">
import { useProofContext } from './context'
import PartOf from './PartOf.vue'

const context = useProofContext()
</script>

<template>
  <!-- A logotype needs no ratio by 1.4.3, and what colours it has are its own. -->
  <img
    v-if="context.logo"
    :src="context.logo"
    :alt="context.brand"
    class="logo"
    data-part="Logo"
    data-element="logotype"
  />
  <PartOf v-else name="Brand’s name" element="heading" as="span" look="h3" class="name">{{
    context.brand
  }}</PartOf>
</template>
