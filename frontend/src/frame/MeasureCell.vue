<script setup lang="ts">
import type { Cell } from '@/api/types'
import CopyButton from '@/take/CopyButton.vue'

defineProps<{ cell: Cell; selected: boolean }>()
const emit = defineEmits<{ toggle: []; grab: [event: PointerEvent]; swap: [by: -1 | 1] }>()

/** Shift and an arrow change places with the neighbour, as dragging onto it does. */
function swapByKey(event: KeyboardEvent) {
  const by = ({ ArrowLeft: -1, ArrowRight: 1 } as const)[event.key]
  if (!by || !event.shiftKey) return
  event.preventDefault()
  emit('swap', by)
}
</script>

<template>
  <li
    class="relative flex min-w-21 flex-col border-r border-ink last:border-r-0"
    :class="selected && 'bg-ink text-sheet'"
    :style="{ flexGrow: Math.round(cell.share * 1000), flexBasis: 0 }"
    :data-cell="cell.key"
    :data-role="cell.roles[0]"
  >
    <button
      type="button"
      class="keeps-color min-h-0 flex-1 cursor-grab touch-pan-x -outline-offset-4"
      :style="{ backgroundColor: cell.hex }"
      :aria-pressed="selected"
      :title="cell.held ? 'Held: only you can change it' : undefined"
      :aria-label="`${cell.role_names || 'No role'}: ${cell.name}, ${cell.hex}${cell.held ? ', held' : ''}${cell.text_name ? `; as text ${cell.text_name}` : ''}`"
      aria-keyshortcuts="Shift+ArrowLeft Shift+ArrowRight"
      @keydown="swapByKey"
      @pointerdown="emit('grab', $event)"
      @click="emit('toggle')"
    ></button>
    <span
      v-if="cell.text_hex"
      class="keeps-color pointer-events-none -mt-4 h-4 border-t border-sheet"
      :style="{ backgroundColor: cell.text_hex }"
      :title="`As text: ${cell.text_name}`"
      data-testid="as-text"
      aria-hidden="true"
    ></span>
    <span
      v-if="cell.held"
      class="pointer-events-none absolute top-1.5 right-1.5 bg-sheet px-1.5 text-[11px] leading-5 text-ink"
      aria-hidden="true"
      >held</span
    >
    <div class="border-t border-ink px-1.5 pt-1 pb-1.5">
      <p
        dir="auto"
        class="line-clamp-2 leading-tight font-semibold wrap-break-word"
        :title="cell.role_names || cell.name"
      >
        {{ cell.role_names || cell.name }}
      </p>
      <CopyButton :value="cell.hex" :what="cell.name" class="text-small" />
    </div>
    <slot />
  </li>
</template>
