<script setup lang="ts">
import { slug } from './context'
import type { Figure, TextStyle } from '@/api/types'

/** A part of a page: it has a name, wears what its figure wears here, and is set in a style. */
withDefaults(defineProps<{ name: string; figure: Figure; as?: string; look?: TextStyle }>(), {
  as: 'p',
  look: undefined,
})
</script>

<template>
  <component
    :is="as"
    :data-part="name"
    :data-figure="figure"
    :data-style="look"
    :class="`wears-${slug(figure)}`"
    ><slot
  /></component>
</template>
