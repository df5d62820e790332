<script setup lang="ts">
import { computed, useId } from 'vue'
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
const signal = computed(() => (props.state === 'focus' ? undefined : props.state))
</script>

<template>
  <div class="stack">
    <PartOf :name="`Label, ${label}`" element="text" as="label" look="label" :for="id">{{
      label
    }}</PartOf>
    <PartOf v-if="state === 'focus'" :name="`Focus ring, ${label}`" element="focus ring" as="div">
      <input
        :id="id"
        class="field"
        :placeholder="placeholder"
        :data-part="`Field, ${label}`"
        data-element="line"
      />
    </PartOf>
    <input
      v-else
      :id="id"
      class="field"
      :value="value"
      :placeholder="placeholder"
      :data-part="`Field, ${label}`"
      data-element="line"
    />
    <p v-if="remark && signal">
      <PartOf :name="`Mark, ${label}`" :element="signal" as="span" class="mark">■</PartOf>
      <PartOf :name="`Remark, ${label}`" element="text" as="span" look="small">
        {{ remark }}</PartOf
      >
    </p>
  </div>
</template>
