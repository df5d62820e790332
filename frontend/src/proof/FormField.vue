<script setup lang="ts">
import { computed, useId } from 'vue'
import { useOwnText } from './context'
import PartOf from './PartOf.vue'

const props = withDefaults(
  defineProps<{
    label: string
    value?: string
    placeholder?: string
    remark?: string
    state?: 'error' | 'success' | 'focus'
  }>(),
  { value: '', placeholder: '', remark: '', state: undefined },
)
const id = useId()
const name = computed(() => `Field, ${props.label}`)
const { page, own, spoken } = useOwnText(() => name.value)
/** What is typed into it stands in place of what the page says there, as a value or as a hint. */
const said = computed(() => ({
  value: props.value && (own.value?.text ?? props.value),
  placeholder: props.placeholder && (own.value?.text ?? props.placeholder),
  lang: own.value?.language ?? (spoken.value.language === 'en' ? undefined : 'en'),
  dir: own.value?.direction,
  'data-part': name.value,
  'data-says': page.value,
  'data-element': 'line',
}))
const signal = computed(() => (props.state === 'focus' ? undefined : props.state))
</script>

<template>
  <div class="stack">
    <PartOf :name="`Label, ${label}`" element="text" as="label" look="label" :for="id">{{
      label
    }}</PartOf>
    <PartOf v-if="state === 'focus'" :name="`Focus ring, ${label}`" element="focus ring" as="div">
      <input :id="id" class="field" v-bind="said" />
    </PartOf>
    <input v-else :id="id" class="field" v-bind="said" />
    <p v-if="remark && signal">
      <PartOf :name="`Mark, ${label}`" :element="signal" as="span" class="mark">■</PartOf>
      <PartOf :name="`Remark, ${label}`" element="text" as="span" look="small">
        {{ remark }}</PartOf
      >
    </p>
  </div>
</template>
