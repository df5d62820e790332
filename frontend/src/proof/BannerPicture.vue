<script setup lang="ts">
import { computed } from 'vue'
import { useProofContext } from './context'

/** The brand's picture under what stands in the slot, with the layer between that makes it readable. */
const context = useProofContext()
const layer = computed(() => {
  const { layer: laid } = context.value
  return laid ? { backgroundColor: laid.hex, opacity: laid.alpha.toString() } : undefined
})
</script>

<template>
  <div v-if="context.picture" class="picture" data-picture>
    <img :src="context.picture" alt="" />
    <div v-if="layer" class="layer" :style="layer"></div>
    <div class="over"><slot /></div>
  </div>
  <slot v-else />
</template>
