import { createSharedComposable, watchDebounced } from '@vueuse/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { api, given } from '@/api/client'
import type { SightAnswer } from '@/api/types'
import { useTakeStore } from '@/take/take'

export type Sight = 'typical' | 'protan' | 'deutan' | 'tritan' | 'no colour'

/** Through whose eyes everything is shown. The matrix comes from the server; the page only applies it. */
export const useSight = createSharedComposable(() => {
  const take = useTakeStore()
  const sight = ref<Sight>('typical')
  const severity = ref(1)
  const seen = shallowRef<SightAnswer>()
  let asked = 0

  async function look() {
    const number = ++asked
    const { value: kind } = sight
    if (kind === 'typical' || !take.shown) {
      seen.value = undefined
      return
    }
    const body = { document: take.shown, sight: kind, severity: severity.value }
    try {
      const answer = await given(api.POST('/api/sight', { body }))
      if (number === asked) seen.value = answer
    } catch {
      // What is shown stays; the next change asks again.
    }
  }

  watch([sight, severity], () => void look())
  watchDebounced(
    () => take.shown,
    () => void look(),
    { debounce: 120 },
  )

  /** As an SVG filter has it: three rows of five, and the row of the alpha. */
  const filter = computed(() => {
    const matrix = seen.value?.matrix
    if (!matrix) return ''
    const rows = [0, 3, 6].map((start) => [...matrix.slice(start, start + 3), 0, 0].join(' '))
    return [...rows, '0 0 0 1 0'].join(' ')
  })
  // Not on the root itself: Firefox ignores a filter there, WebKit doesn't carry it into frames.
  // The interface has no hue, so that filtering what shows colours is filtering everything.
  watch(filter, (value) => {
    document.documentElement.classList.toggle('is-filtered', value !== '')
  })

  return { sight, severity, seen, filter }
})
