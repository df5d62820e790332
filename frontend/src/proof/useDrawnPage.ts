import { useDebounceFn } from '@vueuse/core'
import { computed, shallowRef } from 'vue'
import { figuresOf, paintedShares, partsOf } from './parts'
import type { Painted, Part } from './parts'
import type { ProofFigures } from '@/api/types'

/** What is read from a page after it was drawn: its parts, and how much each colour paints. */
export function useDrawnPage(figures: () => ProofFigures | undefined) {
  const drawn = shallowRef<Document>()
  const parts = shallowRef<Part[]>([])
  const painted = shallowRef<Painted[]>([])

  const measure = useDebounceFn(() => {
    const proof = figures()
    if (drawn.value && proof) painted.value = paintedShares(drawn.value, proof)
  }, 150)

  function read(page: Document) {
    drawn.value = page
    parts.value = partsOf(page)
    void measure()
  }

  const counts = computed(() => {
    const found = new Map<string, { parts: number; short: number }>()
    const proof = figures()
    for (const part of proof ? parts.value : []) {
      const use = proof && figuresOf(part, proof)
      const now = found.get(part.ground) ?? { parts: 0, short: 0 }
      found.set(part.ground, {
        parts: now.parts + 1,
        short: now.short + (use && !use.passes ? 1 : 0),
      })
    }
    return found
  })

  return { drawn, parts, painted, counts, read }
}
