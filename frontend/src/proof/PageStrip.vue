<script setup lang="ts">
import ProofFrame from './ProofFrame.vue'
import type { ProofContext } from './context'

/** All pages small, at one look. */
defineProps<{
  context: ProofContext
  pages: readonly { id: string; name: string }[]
  chosen: string
}>()
const emit = defineEmits<{ choose: [page: string] }>()
const WIDTH = 1280
const SCALE = 0.115
</script>

<template>
  <ul class="flex gap-2 overflow-x-auto pb-1" aria-label="All pages small">
    <li
      v-for="page in pages"
      :key="page.id"
      class="relative flex-none border"
      :class="page.id === chosen ? 'border-ink' : 'border-hair'"
    >
      <div inert>
        <ProofFrame
          :context="{ ...context, page: page.id }"
          :title="`${page.name}, small`"
          :width="WIDTH"
          :scale="SCALE"
          :height="112"
        />
      </div>
      <button
        type="button"
        class="absolute inset-0"
        :aria-label="page.name"
        @click="emit('choose', page.id)"
      ></button>
    </li>
  </ul>
</template>
