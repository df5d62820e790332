import { onScopeDispose, shallowReadonly, shallowRef, toValue, watch } from 'vue'
import type { MaybeRefOrGetter } from 'vue'
import { api, answerOf } from '@/api/client'
import type { Evaluation, TakeDocument } from '@/api/types'
import { createPaced } from '@/ui/asking'
import { useQuestion } from '@/ui/useAnswer'

/** The figures of a document. One call at a time; while it runs, only the newest document waits. */
export function useEvaluation(take: MaybeRefOrGetter<TakeDocument | undefined>) {
  const evaluation = shallowRef<Evaluation>()
  let known: TakeDocument | undefined
  /** Counted up when the take is closed: an answer that was asked for before is not of this take. */
  let opened = 0

  const question = useQuestion(follow)
  const paced = createPaced(async (document: TakeDocument) => {
    const asked = opened
    try {
      const figures = await answerOf(api.POST('/api/evaluate', { body: { document } }))
      // What became known meanwhile is newer.
      if (asked === opened && known === undefined) evaluation.value = figures
      question.answered()
    } catch (reason) {
      question.failed(reason)
    }
  })

  /** The figures of a document came with it: they are shown at once, and not asked for. */
  function know(document: TakeDocument, figures: Evaluation) {
    known = document
    paced.drop()
    evaluation.value = figures
  }

  function follow() {
    const document = toValue(take)
    if (document && document === known) return
    known = undefined
    if (document) {
      void paced.ask(document)
      return
    }
    opened += 1
    paced.drop()
    question.answered()
    evaluation.value = undefined
  }

  watch(() => toValue(take), follow, { immediate: true, flush: 'sync' })
  onScopeDispose(paced.drop)

  return { evaluation: shallowReadonly(evaluation), know }
}
