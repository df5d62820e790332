<script setup lang="ts">
import { useCopy } from '@/ui/useCopy'
import { useNotations } from './useNotations'

/** A colour’s value: a click copies it in the notation that was chosen, the right button shows all. */
const props = defineProps<{
  value: string
  what?: string
  /** What is shown, where that isn’t the value in hex. */
  shown?: string
}>()
const { copyValue, isCopied } = useCopy()
const { inChosen, show } = useNotations()

async function copy() {
  const text = await inChosen(props.value)
  if (text !== undefined) await copyValue(text, props.value)
}
</script>

<template>
  <span class="relative inline-flex items-baseline">
    <button
      type="button"
      class="value relative border-b border-transparent text-left before:absolute before:-inset-x-1 before:-inset-y-[3px] hover:border-ink"
      :aria-label="`Copy ${what ? `${what}, ` : ''}${shown ?? value}`"
      title="Click to copy; right button for every notation"
      @click.stop="copy"
      @contextmenu.prevent.stop="show(value)"
    >
      <slot>{{ shown ?? value }}</slot>
    </button>
    <!-- Over the value, which is on the clipboard now: beside it there is no room in a narrow cell. -->
    <span
      v-if="isCopied(value)"
      class="pointer-events-none absolute inset-0 bg-ink px-0.5 text-small text-sheet"
      aria-hidden="true"
      >copied</span
    >
  </span>
</template>
