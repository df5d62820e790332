<script setup lang="ts">
import { computed } from 'vue'
import OverlayFields from './OverlayFields.vue'
import type { Overlay, OverlayFigures, TakeDocument } from '@/api/types'
import { useChange } from '@/take/useChange'
import { useLimits } from '@/take/useLimits'
import { useTakeStore } from '@/take/take'

const props = defineProps<{ document: TakeDocument; overlays: readonly OverlayFigures[] }>()
const take = useTakeStore()
const changing = useChange()
const limits = useLimits()

const figures = computed(() => new Map(props.overlays.map((one) => [one.id, one])))

const add = () =>
  changing.make({ kind: 'add overlay', name: null, color: null, on_picture: false, opacity: null })

function change(overlay: Overlay) {
  if (!take.document) return
  const overlays = take.document.overlays.map((one) => (one.id === overlay.id ? overlay : one))
  take.change({ ...take.document, overlays })
}

const remove = (overlay: Overlay) => changing.make({ kind: 'remove overlay', overlay: overlay.id })

const use = (overlay: Overlay, ground: string) =>
  changing.make({ kind: 'pair on overlay', overlay: overlay.id, ground })
</script>

<template>
  <h2 class="text-title">Overlays</h2>
  <p class="mt-1 text-quiet">A translucent colour, such as a scrim behind text on a picture.</p>
  <OverlayFields
    v-for="overlay in document.overlays"
    :key="overlay.id"
    :overlay="overlay"
    :document="document"
    :figures="figures.get(overlay.id)"
    @change="change"
    @remove="remove(overlay)"
    @use="use(overlay, $event)"
  />
  <button
    v-if="limits && document.overlays.length < limits.overlays"
    type="button"
    class="button mt-3"
    @click="add"
  >
    Add an overlay
  </button>
</template>
