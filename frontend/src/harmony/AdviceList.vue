<script setup lang="ts">
import type { Advice, TakeDocument } from '@/api/types'
import { usePagePreview } from '@/page/usePagePreview'

defineProps<{
  advice: readonly Advice[]
  /** What following an advice would make of the take. */
  followed: (advice: Advice) => TakeDocument | undefined
}>()
const emit = defineEmits<{ act: [advice: Advice] }>()
const { previewing } = usePagePreview()
</script>

<template>
  <section aria-label="Advice">
    <h2 class="text-title">Advice</h2>
    <p v-if="!advice.length" class="mt-1 text-quiet">
      No advice. The palette has up to three hues, they are easy to tell apart, and the accent
      stands out.
    </p>
    <ul class="rule-list" data-testid="advice">
      <li v-for="one in advice" :key="one.text" class="py-2">
        <p>{{ one.text }}</p>
        <button
          v-if="one.act"
          type="button"
          class="button mt-1.5"
          v-on="previewing(() => followed(one), 'inspector')"
          @click="emit('act', one)"
        >
          <span class="max-w-56 truncate">{{ one.act }}</span>
        </button>
      </li>
    </ul>
  </section>
</template>
