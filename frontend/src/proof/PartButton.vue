<script setup lang="ts">
import PartOf from './PartOf.vue'

/** A button: its face on the ground, and its label on the face. */
defineProps<{ name: string }>()
</script>

<template>
  <PartOf :name="`${name}, background`" element="button background" as="a" class="button" href="#"
    ><PartOf :name="`${name}, label`" element="button label" as="span" look="label"><slot /></PartOf
  ></PartOf>
</template>
