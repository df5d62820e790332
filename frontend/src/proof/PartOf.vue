<script setup lang="ts">
import { slug } from './context'
import type { ElementKind, TextStyle } from '@/api/types'

/** A part of a page: it has a name, uses what its element uses here, and is set in a style. */
withDefaults(defineProps<{ name: string; element: ElementKind; as?: string; look?: TextStyle }>(), {
  as: 'p',
  look: undefined,
})
</script>

<template>
  <component
    :is="as"
    :data-part="name"
    :data-element="element"
    :data-style="look"
    :class="`uses-${slug(element)}`"
    ><slot
  /></component>
</template>
