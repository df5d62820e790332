import { onScopeDispose, shallowRef, watch } from 'vue'
import { api, answerOf } from '@/api/client'
import type { ProofFigures, TakeDocument } from '@/api/types'
import { useBrandStore } from '@/take/brand'
import { brandFacts } from '@/take/fonts'
import { createPaced } from '@/ui/asking'
import { useQuestion } from '@/ui/useAnswer'

/**
 * What a take’s pages are drawn with; while it is dragged, the newest state is asked for, one at a time.
 * came: figures that came with the document, which then needn’t be asked for.
 */
export function useProof(
  document: () => TakeDocument | undefined,
  came: () => ProofFigures | undefined = () => undefined,
) {
  const brand = useBrandStore()
  const figures = shallowRef<ProofFigures>()
  const question = useQuestion(follow)
  const paced = createPaced(async (asked: TakeDocument) => {
    try {
      const body = { document: asked, ...brandFacts(brand.detail) }
      const found = await answerOf(api.POST('/api/proof', { body }))
      // What came meanwhile is newer.
      figures.value = came() ?? found
      question.answered()
    } catch (reason) {
      question.failed(reason)
    }
  })

  function follow() {
    const [now, known] = [document(), came()]
    if (known) {
      paced.drop()
      figures.value = known
    } else if (now) void paced.ask(now)
  }

  watch([document, () => brand.detail?.voice, () => brand.detail?.fonts], follow, {
    immediate: true,
  })
  onScopeDispose(paced.drop)
  return { figures }
}
