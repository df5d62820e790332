import { useThrottleFn } from '@vueuse/core'
import { ref, watch } from 'vue'
import type { PairFigures } from '@/api/types'
import { countOf } from '@/ui/format'
import { useTakeStore } from '@/take/take'

const EVERY_MS = 1000

type Short = ReadonlyMap<string, PairFigures>
const shortOf = (pairs: readonly PairFigures[]): Short =>
  new Map(pairs.filter((one) => one.outcome === 'fails').map((one) => [one.id, one]))

/** What a change has done to the pairs, in a sentence; nothing where it has done nothing. */
export function newsOf(before: Short, now: Short): string {
  const fresh = [...now.values()].filter((one) => !before.has(one.id))
  if (fresh.length) {
    const names = [...new Set(fresh.map((one) => one.text_name))]
    const told = names.map((name) => {
      const count = [...now.values()].filter((one) => one.text_name === name).length
      return `${name}: now ${countOf(count, 'pair', 'pairs').toLowerCase()} short`
    })
    return told.join('; ')
  }
  if (now.size === before.size) return ''
  return now.size
    ? `${countOf(now.size, 'pair is', 'pairs are')} short still`
    : 'Every pair passes now'
}

/** Said to whoever doesn't see it: pairs that fall short by what was just done. At most once a second. */
export function useShortfallNews() {
  const take = useTakeStore()
  const news = ref('')
  let before: { of: string; short: Short } | undefined

  const tell = useThrottleFn(
    (of: string, short: Short) => {
      if (before?.of === of) news.value = newsOf(before.short, short) || news.value
      before = { of, short }
    },
    EVERY_MS,
    true,
  )
  watch(
    () => take.evaluation,
    (evaluation) => {
      if (!evaluation) return
      const short = shortOf(evaluation.pairs)
      const of = `${take.take?.id ?? ''} ${take.scheme} ${take.document?.level ?? ''}`
      if (before?.of === of) {
        void tell(of, short)
        return
      }
      // Another take, scheme or level is no change of the pairs.
      before = { of, short }
      news.value = ''
    },
    { immediate: true },
  )
  return news
}
