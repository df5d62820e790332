<script setup lang="ts">
import { computed } from 'vue'
import OverlayFields from './OverlayFields.vue'
import type { Overlay, OverlayFigures, TakeDocument } from '@/api/types'
import { useLimits } from '@/take/useLimits'
import { addPair, freeIdOf } from '@/pairs/edits'
import { targetOf } from '@/take/roles'
import { useTakeStore } from '@/take/take'

const props = defineProps<{ document: TakeDocument; overlays: readonly OverlayFigures[] }>()
const take = useTakeStore()
const limits = useLimits()

const figures = computed(() => new Map(props.overlays.map((one) => [one.id, one])))

function set(overlays: Overlay[]) {
  if (take.document) take.change({ ...take.document, overlays })
}

function add() {
  const ink = targetOf(props.document, 'ink') ?? targetOf(props.document, 'primary')
  if (!ink) return
  const id = freeIdOf('o', props.document.overlays)
  const name = `Overlay ${id.slice(1)}`
  set([...props.document.overlays, { id, name, ...ink, alpha: 0.6 }])
}

const change = (overlay: Overlay) => {
  set(props.document.overlays.map((one) => (one.id === overlay.id ? overlay : one)))
}

/** The overlay goes, and with it the pairs that lie on it or are set in it. */
function remove(overlay: Overlay) {
  if (!take.document) return
  const without = <T extends Pick<TakeDocument, 'pairs'>>(scheme: T): T => ({
    ...scheme,
    pairs: scheme.pairs.filter(
      (pair) => pair.text !== overlay.id && !pair.layers.includes(overlay.id),
    ),
  })
  const { document } = take
  take.change({
    ...without(document),
    other: document.other && without(document.other),
    overlays: document.overlays.filter((one) => one.id !== overlay.id),
  })
}

function use(overlay: Overlay, ground: string) {
  if (!take.document) return
  const text = take.document.roles.some((one) => one.role === 'paper') ? 'paper' : ground
  take.change(
    addPair(take.document, {
      text,
      ground,
      usage: 'body text',
      sample: `On ${overlay.name}`.slice(0, 80),
      layers: [overlay.id],
      size: null,
      weight: null,
    }),
  )
}
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
