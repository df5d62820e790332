import { onScopeDispose, shallowRef, watch } from 'vue'
import { api, given } from '@/api/client'
import type { ProofFigures, TakeDocument } from '@/api/types'
import { useBrandStore } from '@/take/brand'
import { createPaced } from '@/ui/asking'
import { useQuestion } from '@/ui/useAnswer'

/** What a take’s pages are drawn with; while it is dragged, the newest state is asked for, one at a time. */
export function useProof(document: () => TakeDocument | undefined) {
  const brand = useBrandStore()
  const figures = shallowRef<ProofFigures>()
  const question = useQuestion(follow)
  const paced = createPaced(async (asked: TakeDocument) => {
    try {
      const body = { document: asked, voice: brand.detail?.voice ?? null }
      figures.value = await given(api.POST('/api/proof', { body }))
      question.answered()
    } catch (reason) {
      question.failed(reason)
    }
  })

  function follow() {
    const now = document()
    if (now) void paced.ask(now)
  }

  watch([document, () => brand.detail?.voice], follow, { immediate: true })
  onScopeDispose(paced.drop)
  return { figures }
}
