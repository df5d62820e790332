<script setup lang="ts">
import { computed } from 'vue'
import { useProofContext } from './context'
import DrawnScene from './DrawnScene.vue'
import OwnPicture from './OwnPicture.vue'
import { placeKey } from './placedPictures'

/** A picture of a page: drawn in the colours of the take, or one of the brand’s own in its place. */
const props = defineProps<{ name: string; scene: string; own?: boolean }>()
const context = useProofContext()
const picture = computed(() => {
  const { page, placed, settings, picture: main } = context.value
  const isMain = props.own && settings.picture_place === 'beside'
  return placed[placeKey(page, props.name)] ?? (isMain ? main : undefined)
})
</script>

<template>
  <div class="drawn" :data-part="name" data-element="picture">
    <OwnPicture v-if="picture" :picture="picture" />
    <DrawnScene v-else :scene="scene" />
  </div>
</template>
