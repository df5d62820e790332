<script setup lang="ts">
import { useCopy } from '@/composables/useCopy'
import { useNotations } from '@/composables/useNotations'

/** A colour’s value: a click copies it in the notation that was chosen, the right button shows all. */
const props = defineProps<{ value: string; what?: string }>()
const { copyValue, isCopied } = useCopy()
const { inChosen, show } = useNotations()

async function copy() {
  await copyValue(await inChosen(props.value), props.value)
}
</script>

<template>
  <button
    type="button"
    class="value inline-flex items-baseline gap-1.5 border-b border-transparent text-left hover:border-ink"
    :aria-label="`Copy ${what ? `${what}, ` : ''}${value}`"
    title="Click to copy; right button for every notation"
    @click.stop="copy"
    @contextmenu.prevent.stop="show(value)"
  >
    <slot>{{ value }}</slot>
    <span v-if="isCopied(value)" class="font-sans text-small text-quiet" aria-hidden="true"
      >copied</span
    >
  </button>
</template>
