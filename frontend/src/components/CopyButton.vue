<script setup lang="ts">
import { useCopy } from '@/composables/useCopy'

defineProps<{ value: string; what?: string }>()
const { copyValue, isCopied } = useCopy()
</script>

<template>
  <button
    type="button"
    class="value inline-flex items-baseline gap-1.5 border-b border-transparent text-left hover:border-ink"
    :aria-label="`Copy ${what ? `${what}, ` : ''}${value}`"
    @click.stop="copyValue(value)"
  >
    <slot>{{ value }}</slot>
    <span v-if="isCopied(value)" class="font-sans text-small text-quiet" aria-hidden="true"
      >copied</span
    >
  </button>
</template>
