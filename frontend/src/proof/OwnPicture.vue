<script setup lang="ts">
import { computed, useId } from 'vue'
import { LUMA } from '@/api/constants'
import type { ShownPicture } from './placedPictures'

/** A picture of the brand, cropped to its place, in the tone that it has there. */
const props = defineProps<{ picture: ShownPicture }>()
const id = useId()
const tone = computed(() => props.picture.tone)
/** The luma that the core mixes by, in every channel. */
const matrix = `${`${LUMA.join(' ')} 0 0 `.repeat(3)}0 0 0 1 0`
/** A point of a picture lies as far along its place as along the picture: so it stays in view. */
const style = computed(() => {
  const { x, y, zoom } = props.picture.view
  const at = `${(x * 100).toString()}% ${(y * 100).toString()}%`
  return {
    objectPosition: at,
    ...(zoom > 1 && { transform: `scale(${zoom.toString()})`, transformOrigin: at }),
    ...(tone.value && { filter: `url(#${id})` }),
  }
})
</script>

<template>
  <svg v-if="tone" class="aside" width="0" height="0" aria-hidden="true">
    <filter :id="id" color-interpolation-filters="sRGB">
      <feColorMatrix v-if="tone.by_luma" type="matrix" :values="matrix" />
      <feComponentTransfer>
        <feFuncR type="table" :tableValues="tone.red" />
        <feFuncG type="table" :tableValues="tone.green" />
        <feFuncB type="table" :tableValues="tone.blue" />
      </feComponentTransfer>
    </filter>
  </svg>
  <img :src="picture.address" alt="" :style="style" />
</template>
