<script setup lang="ts">
import type { Cell } from '@/api/types'
import CopyButton from '@/ui/CopyButton.vue'

defineProps<{ cell: Cell; selected: boolean }>()
const emit = defineEmits<{ toggle: []; grab: [event: PointerEvent] }>()
</script>

<template>
  <li
    class="relative flex min-w-17 flex-col border-r border-ink last:border-r-0"
    :class="selected && 'bg-ink text-sheet'"
    :style="{ flexGrow: Math.round(cell.share * 1000), flexBasis: 0 }"
    :data-cell="cell.key"
    :data-role="cell.roles[0]"
  >
    <button
      type="button"
      class="keeps-color min-h-0 flex-1 touch-none -outline-offset-4"
      :style="{ backgroundColor: cell.hex }"
      :aria-pressed="selected"
      :aria-label="`${cell.role_names || 'No role'}: ${cell.name}, ${cell.hex}${cell.held ? ', held' : ''}`"
      @pointerdown="emit('grab', $event)"
      @click="emit('toggle')"
    ></button>
    <span
      v-if="cell.held"
      class="pointer-events-none absolute top-1.5 right-1.5 bg-sheet px-1.5 text-[11px] leading-5 text-ink"
      aria-hidden="true"
      >held</span
    >
    <div class="border-t border-ink px-1.5 pt-1 pb-2">
      <p class="truncate font-semibold" :title="cell.role_names || cell.name">
        {{ cell.role_names || cell.name }}
      </p>
      <CopyButton :value="cell.hex" :what="cell.name" class="text-small" />
    </div>
    <slot />
  </li>
</template>
