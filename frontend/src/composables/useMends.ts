import { shallowRef, toValue, watch } from 'vue'
import type { MaybeRefOrGetter } from 'vue'
import { api, given } from '@/api/client'
import type { Mend, TakeDocument } from '@/api/types'

/** The ways to mend one pair of a document; undefined while they are being computed. */
export function useMends(
  take: MaybeRefOrGetter<TakeDocument | undefined>,
  pairId: MaybeRefOrGetter<string | undefined>,
) {
  const mends = shallowRef<Mend[]>()
  const error = shallowRef<unknown>()
  let asked = 0

  watch(
    [() => toValue(take), () => toValue(pairId)] as const,
    async ([document, pair]) => {
      const number = ++asked
      mends.value = error.value = undefined
      if (!document || !pair) return
      try {
        const answer = await given(api.POST('/api/mends', { body: { document, pair } }))
        if (number === asked) mends.value = answer.mends
      } catch (reason) {
        if (number === asked) error.value = reason
      }
    },
    { immediate: true },
  )

  return { mends, error }
}
