import { onScopeDispose, readonly, shallowReadonly, shallowRef, toValue, watch } from 'vue'
import type { MaybeRefOrGetter } from 'vue'
import { api, given } from '@/api/client'
import type { Evaluation, TakeDocument } from '@/api/types'

/** The figures of a document. One call at a time; while it runs, only the newest document waits. */
export function useEvaluation(take: MaybeRefOrGetter<TakeDocument | undefined>) {
  const evaluation = shallowRef<Evaluation>()
  const error = shallowRef<unknown>()
  let waiting: TakeDocument | undefined
  let known: TakeDocument | undefined
  let running = false
  let disposed = false
  /** Counted up when the take is closed: an answer that was asked for before is not of this take. */
  let opened = 0

  async function run() {
    running = true
    while (waiting && !disposed) {
      const document = waiting
      const asked = opened
      waiting = undefined
      try {
        const figures = await given(api.POST('/api/evaluate', { body: { document } }))
        // What became known meanwhile is newer.
        if (asked === opened && known === undefined) evaluation.value = figures
        error.value = undefined
      } catch (reason) {
        error.value = reason
      }
    }
    running = false
  }

  /** The figures of a document came with it: they are shown at once, and not asked for. */
  function know(document: TakeDocument, figures: Evaluation) {
    known = document
    waiting = undefined
    evaluation.value = figures
  }

  watch(
    () => toValue(take),
    (document) => {
      if (document && document === known) return
      known = undefined
      waiting = document
      if (!document) {
        opened += 1
        evaluation.value = undefined
      } else if (!running) void run()
    },
    { immediate: true, flush: 'sync' },
  )
  onScopeDispose(() => (disposed = true))

  return { evaluation: shallowReadonly(evaluation), error: readonly(error), know }
}
