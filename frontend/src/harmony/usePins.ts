/** Variations that are pinned: they stay in sight while others are leafed through, until the page is left. */
import { computed, shallowReactive } from 'vue'
import type { Variation } from '@/api/types'

const pinned = shallowReactive(new Map<string, readonly Variation[]>())

/** take: the id of the take that they are of. Two are the same where they have the same values. */
export function usePins(take: () => string) {
  const pins = computed(() => pinned.get(take()) ?? [])
  const isPinned = (variation: Variation) =>
    pins.value.some((one) => valuesOf(one) === valuesOf(variation))

  function toggle(variation: Variation) {
    const others = pins.value.filter((one) => valuesOf(one) !== valuesOf(variation))
    pinned.set(take(), isPinned(variation) ? others : [...others, variation])
  }
  return { pins, isPinned, toggle }
}

const valuesOf = (variation: Variation) =>
  JSON.stringify(variation.document.swatches.map(({ id, hex }) => [id, hex]))
