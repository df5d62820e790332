import { onScopeDispose } from 'vue'
import type { TakeDocument } from '@/api/types'
import { useTakeStore } from '@/take/take'

/** A setting of the pages that follows a slider or a dragged point, and is one step back when it is let go. */
export function usePreviewed<T>(changed: (document: TakeDocument, value: T) => TakeDocument) {
  const take = useTakeStore()
  let isShown = false

  function preview(value: T) {
    const { document, evaluation } = take
    if (!document || !evaluation || take.looking) return
    take.preview = { document: changed(document, value), evaluation }
    isShown = true
  }
  function set(value: T) {
    isShown = false
    if (take.document) take.change(changed(take.document, value))
  }
  onScopeDispose(() => {
    if (isShown) take.preview = undefined
  })
  return { preview, set }
}
