<script setup lang="ts">
import { computed } from 'vue'
import { CHIP } from './rampLayout'
import type { PlacedFlag } from './rampLayout'

const props = defineProps<{
  flag: PlacedFlag
  top: number
  rowHeight: number
  isSelected: boolean
  isCarried: boolean
  /** What a role is as text, beside the role itself. */
  isText: boolean
  broken: number
  colorKey: string
  spoken: string
}>()

const stem = computed(() => ({
  left: `${props.flag.x}px`,
  top: `${props.top + 4 + CHIP.height}px`,
}))
</script>

<template>
  <div>
    <span class="absolute h-1.5 w-px bg-ink" :style="stem" aria-hidden="true"></span>
    <button
      type="button"
      aria-roledescription="role flag"
      :data-flag="flag.role"
      :data-role="flag.role"
      :data-key="colorKey"
      class="absolute h-4.5 touch-none border text-[12px] leading-4 font-semibold whitespace-nowrap outline-offset-2"
      :class="[
        isSelected || isCarried || isText
          ? 'border-ink bg-sheet text-ink'
          : 'border-ink bg-ink text-sheet',
        isText && 'border-dashed',
        isCarried ? 'z-20 cursor-grabbing' : 'z-10 cursor-grab',
      ]"
      :style="{
        left: `${flag.left}px`,
        top: `${top + 4 + CHIP.height + 6}px`,
        width: `${flag.width}px`,
      }"
      :aria-label="`${flag.name}, uses ${spoken}`"
    >
      <bdi>{{ flag.name }}</bdi>
      <span
        v-if="broken"
        class="absolute -top-px left-full ml-1 border border-ink bg-sheet px-1.5 text-ink"
        role="status"
        >{{ broken }} more {{ broken === 1 ? 'pair fails' : 'pairs fail' }}</span
      >
    </button>
  </div>
</template>
