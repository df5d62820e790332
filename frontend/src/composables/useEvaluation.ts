import { onScopeDispose, shallowReadonly, shallowRef, toValue, watch } from 'vue'
import type { MaybeRefOrGetter } from 'vue'
import { api, given } from '@/api/client'
import type { Evaluation, TakeDocument } from '@/api/types'

/** The figures of a document. One call at a time; while it runs, only the newest document waits. */
export function useEvaluation(take: MaybeRefOrGetter<TakeDocument | undefined>) {
  const evaluation = shallowRef<Evaluation>()
  const error = shallowRef<unknown>()
  let waiting: TakeDocument | undefined
  let running = false
  let disposed = false

  async function run() {
    running = true
    while (waiting && !disposed) {
      const document = waiting
      waiting = undefined
      try {
        const figures = await given(api.POST('/api/evaluate', { body: { document } }))
        // An answer to a document of another take must not be shown for this one.
        if (toValue(take)) evaluation.value = figures
        error.value = undefined
      } catch (reason) {
        error.value = reason
      }
    }
    running = false
  }

  watch(
    () => toValue(take),
    (document) => {
      if (!document) evaluation.value = undefined
      waiting = document
      if (document && !running) void run()
    },
    { immediate: true },
  )
  onScopeDispose(() => (disposed = true))

  return { evaluation: shallowReadonly(evaluation), error: shallowReadonly(error) }
}
