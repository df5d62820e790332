import { createSharedComposable } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { api, answerOf } from '@/api/client'
import { useTakeStore } from './take'
import { useFollowing } from '@/ui/useFollowing'

export type Sight = 'typical' | 'protan' | 'deutan' | 'tritan' | 'no colour'

/** Through whose eyes everything is shown. The matrix comes from the server; the page only applies it. */
export const useSight = createSharedComposable(() => {
  const take = useTakeStore()
  const sight = ref<Sight>('typical')
  const severity = ref(1)
  const { answer: seen, askAgain } = useFollowing(
    () => {
      const { value: kind } = sight
      const document = take.shown
      return kind === 'typical' || !document
        ? undefined
        : { document, sight: kind, severity: severity.value }
    },
    (body, signal) => answerOf(api.POST('/api/sight', { body, signal })),
    { wait: 120, isShared: true },
  )
  // What is chosen is shown at once; only what is dragged is waited for.
  watch([sight, severity], askAgain)

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
