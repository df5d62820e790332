<script setup lang="ts">
import { computed } from 'vue'
import { slug, useOwnText } from './context'
import type { ElementKind, TextStyle } from '@/api/types'

/**
 * A part of a page: it has a name, uses what its element uses here, and is set in a style. A text can be
 * typed over; what it says by itself is English, on a page of any language.
 */
const props = withDefaults(
  defineProps<{ name: string; element: ElementKind; as?: string; look?: TextStyle }>(),
  { as: 'p', look: undefined },
)
const { page, own, spoken } = useOwnText(() => props.name)
const set = computed(() => {
  if (!props.look) return {}
  if (own.value) return { lang: own.value.language, dir: own.value.direction }
  return {
    lang: spoken.value.language === 'en' ? undefined : 'en',
    dir: spoken.value.direction === 'rtl' ? 'ltr' : undefined,
  }
})
</script>

<template>
  <component
    :is="as"
    v-bind="set"
    :data-part="name"
    :data-element="element"
    :data-style="look"
    :data-says="look && page"
    :class="`uses-${slug(element)}`"
    ><template v-if="own && look">{{ own.text }}</template
    ><slot v-else
  /></component>
</template>
