<script setup lang="ts">
import { computed, useId } from 'vue'
import { useProofContext } from './context'
import { LUMA } from '@/api/constants'

/** The brand’s own picture, as it is or in two colours of the take. */
defineProps<{ source: string }>()
const context = useProofContext()
const id = useId()
const duotone = computed(() => context.value.figures.duotone)
/** The luma that the core mixes by, in every channel. */
const matrix = `${`${LUMA.join(' ')} 0 0 `.repeat(3)}0 0 0 1 0`
</script>

<template>
  <svg v-if="duotone" class="aside" width="0" height="0" aria-hidden="true">
    <filter :id="id" color-interpolation-filters="sRGB">
      <feColorMatrix type="matrix" :values="matrix" />
      <feComponentTransfer>
        <feFuncR type="table" :tableValues="duotone.red" />
        <feFuncG type="table" :tableValues="duotone.green" />
        <feFuncB type="table" :tableValues="duotone.blue" />
      </feComponentTransfer>
    </filter>
  </svg>
  <img :src="source" alt="" :style="duotone ? { filter: `url(#${id})` } : undefined" />
</template>
