<script setup lang="ts">
import { computed } from 'vue'
import { useProofContext } from './context'
import DrawnScene from './DrawnScene.vue'
import OwnPicture from './OwnPicture.vue'

/** A picture of a page: drawn in the colours of the take, or the brand’s own in its place. */
const props = defineProps<{ name: string; scene: string; own?: boolean }>()
const context = useProofContext()
const source = computed(() =>
  props.own && context.value.settings.picture_place === 'beside'
    ? context.value.picture
    : undefined,
)
</script>

<template>
  <div class="drawn" :data-part="name" data-element="picture">
    <OwnPicture v-if="source" :source="source" />
    <DrawnScene v-else :scene="scene" />
  </div>
</template>
