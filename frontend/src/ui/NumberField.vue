<script setup lang="ts">
import { onMounted, useTemplateRef, watch } from 'vue'

/**
 * A number that can be typed. While it is, an answer that comes doesn't set another one over it; whoever hears
 * of the change says what it becomes.
 */
const props = defineProps<{ value: number | string | null | undefined }>()
const emit = defineEmits<{ change: [event: Event] }>()
const field = useTemplateRef('field')
let isTyped = false

function show() {
  if (field.value && !isTyped) field.value.value = (props.value ?? '').toString()
}
onMounted(show)
watch(() => props.value, show, { flush: 'post' })

function change(event: Event) {
  isTyped = false
  emit('change', event)
}
function leave() {
  isTyped = false
  show()
}
</script>

<template>
  <input ref="field" type="number" @input="isTyped = true" @change="change" @blur="leave" />
</template>
