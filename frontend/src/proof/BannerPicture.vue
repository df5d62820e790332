<script setup lang="ts">
import { computed } from 'vue'
import { useProofContext } from './context'
import OwnPicture from './OwnPicture.vue'
import type { ShownPicture } from './placedPictures'

/** The brand's picture under what stands in the slot, with the layer between that makes it readable. */
defineProps<{ picture: ShownPicture }>()
const context = useProofContext()
const layer = computed(() => {
  const { layer: laid } = context.value
  return laid ? { backgroundColor: laid.hex, opacity: laid.alpha.toString() } : undefined
})
</script>

<template>
  <div class="picture is-opening" data-picture>
    <OwnPicture :picture="picture" />
    <div v-if="layer" class="layer" :style="layer"></div>
    <div class="over"><slot /></div>
  </div>
</template>
