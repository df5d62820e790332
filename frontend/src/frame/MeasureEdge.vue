<script setup lang="ts">
import type { Cell } from '@/api/types'
import { useEscape } from '@/ui/keys'
import { formatShare } from '@/ui/format'

const props = defineProps<{ left: Cell; right: Cell }>()
/** shift: by how much of the page the left one grows, since the gesture began. */
const emit = defineEmits<{ shift: [share: number]; keep: []; drop: [] }>()

let began: { x: number; width: number; share: number } | undefined

function grab(event: PointerEvent) {
  const edge = event.currentTarget
  if (!(edge instanceof HTMLElement)) return
  edge.setPointerCapture(event.pointerId)
  const cell = edge.closest('li')
  const both = [cell, cell?.nextElementSibling]
  const width = both.reduce((sum, one) => sum + (one?.getBoundingClientRect().width ?? 0), 0)
  began = { x: event.clientX, width, share: props.left.share + props.right.share }
}

function move(event: PointerEvent) {
  if (began) emit('shift', ((event.clientX - began.x) / began.width) * began.share)
}

function release() {
  if (began) emit('keep')
  began = undefined
}

function drop() {
  began = undefined
  emit('drop')
}
useEscape(() => began !== undefined, drop)

function step(event: KeyboardEvent) {
  const by = { ArrowLeft: -0.01, ArrowRight: 0.01 }[event.key]
  if (by === undefined) return
  event.preventDefault()
  emit('shift', event.shiftKey ? by * 10 : by)
  emit('keep')
}
</script>

<template>
  <div
    role="separator"
    tabindex="0"
    aria-orientation="vertical"
    class="absolute inset-y-0 -right-1 z-10 w-[7px] cursor-ew-resize touch-none before:absolute before:-inset-x-2.25 before:top-0 before:h-15 hover:border-x hover:border-ink"
    :aria-label="`Edge between ${left.role_names || left.name} and ${right.role_names || right.name}`"
    :aria-valuenow="Math.round(left.share * 100)"
    aria-valuemin="0"
    :aria-valuemax="Math.round((left.share + right.share) * 100)"
    :aria-valuetext="`${formatShare(left.share)} and ${formatShare(right.share)} of the page`"
    @pointerdown="grab"
    @pointermove="move"
    @pointerup="release"
    @pointercancel="drop"
    @keydown="step"
  ></div>
</template>
