<script setup lang="ts">
import { ref, watch } from 'vue'

/** Words of the studio's own, parted by commas. */
const tags = defineModel<string[]>({ required: true })
defineProps<{ id: string; most: number }>()
const text = ref(tags.value.join(', '))
const parted = (value: string) => [
  ...new Set(
    value
      .split(',')
      .map((one) => one.trim().slice(0, 40))
      .filter(Boolean),
  ),
]
watch(text, (value) => (tags.value = parted(value)))
</script>

<template>
  <div>
    <label :for="id" class="block font-semibold">Tags</label>
    <input
      :id="id"
      v-model="text"
      class="field mt-1"
      autocomplete="off"
      placeholder="client, autumn"
    />
    <p class="mt-1 text-small text-quiet">
      Words to find it by, with commas between; up to {{ most }}.
    </p>
  </div>
</template>
