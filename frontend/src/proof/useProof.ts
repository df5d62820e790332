import { shallowRef, watch } from 'vue'
import { api, given } from '@/api/client'
import type { ProofFigures, TakeDocument } from '@/api/types'
import { useQuestion } from '@/ui/useAnswer'

/** What a take’s pages are drawn with; while it is dragged, the newest state is asked for, one at a time. */
export function useProof(document: () => TakeDocument | undefined) {
  const figures = shallowRef<ProofFigures>()
  const question = useQuestion(() => {
    wanted = document()
    void ask()
  })
  let wanted: TakeDocument | undefined
  let running = false

  async function ask() {
    if (running) return
    running = true
    while (wanted) {
      const asked: TakeDocument = wanted
      wanted = undefined
      try {
        figures.value = await given(api.POST('/api/proof', { body: { document: asked } }))
        question.answered()
      } catch (reason) {
        question.failed(reason)
      }
    }
    running = false
  }

  watch(
    document,
    (now) => {
      wanted = now
      void ask()
    },
    { immediate: true },
  )
  return { figures }
}
