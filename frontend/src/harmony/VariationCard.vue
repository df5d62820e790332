<script setup lang="ts">
import type { Variation } from '@/api/types'
import { usePagePreview } from '@/page/usePagePreview'

defineProps<{ variation: Variation; isChosen: boolean; isPinned: boolean }>()
const emit = defineEmits<{ take: []; pin: [] }>()
const { previewing } = usePagePreview()

const shown = (variation: Variation) =>
  variation.document.swatches.filter(
    (swatch) =>
      variation.document.harmony.varied_from.some((one) => one.swatch === swatch.id) || swatch.held,
  )
</script>

<template>
  <button
    type="button"
    class="block w-full border text-left"
    :class="isChosen ? 'border-2 border-ink' : 'border-hair hover:border-ink'"
    :aria-pressed="isChosen"
    v-on="previewing(() => variation.document)"
    @click="emit('take')"
  >
    <span class="keeps-color flex h-8">
      <span
        v-for="swatch in shown(variation)"
        :key="swatch.id"
        class="flex-1"
        :style="{ backgroundColor: swatch.hex }"
      ></span>
    </span>
    <span class="block truncate px-1.5 text-small">
      <b class="font-semibold">{{ variation.seed }}</b>
      <span v-if="variation.failing.length" class="text-quiet" :title="variation.problem ?? ''">
        {{ variation.failing.length }} {{ variation.failing.length === 1 ? 'fails' : 'fail' }}</span
      >
    </span>
  </button>
  <button
    type="button"
    class="min-h-6 w-full px-1.5 text-left text-small underline-offset-2 hover:underline"
    :class="isPinned ? 'font-semibold' : 'text-quiet'"
    :aria-pressed="isPinned"
    :aria-label="`Pin variation ${variation.seed}`"
    @click="emit('pin')"
  >
    {{ isPinned ? 'Pinned' : 'Pin' }}
  </button>
</template>
