/** What the page shows while something is only pointed at: a change that isn't made. */
import { createSharedComposable } from '@vueuse/core'
import { ref, shallowRef, watch } from 'vue'
import { api, answerOf } from '@/api/client'
import type { TakeChange, TakeDocument } from '@/api/types'
import { createLatest } from '@/ui/asking'
import { useTakeStore } from '@/take/take'

/** Where it is pointed at: from the inspector the page has to stand beside it. */
type Place = 'view' | 'inspector'
type Load = (signal: AbortSignal) => TakeDocument | undefined | Promise<TakeDocument | undefined>

/** Nothing is shown of what the pointer only passes over. */
const RESTS_MS = 70

export const usePagePreview = createSharedComposable(() => {
  const take = useTakeStore()
  const document = shallowRef<TakeDocument>()
  const place = ref<Place>('view')
  const latest = createLatest()
  let waiting: ReturnType<typeof setTimeout> | undefined

  function show(load: Load, from: Place) {
    clearTimeout(waiting)
    waiting = setTimeout(() => {
      void (async () => {
        try {
          const found = await latest.ask(async (signal) => load(signal))
          if (!found) return
          place.value = from
          document.value = found
        } catch {
          // A look ahead that fails shows nothing; the change itself would say why.
          document.value = undefined
        }
      })()
    }, RESTS_MS)
  }

  function hide() {
    clearTimeout(waiting)
    latest.cancel()
    document.value = undefined
  }

  /** A look ahead is at this take as it is: once that changes, it says nothing any more. */
  watch(() => take.document, hide)

  /** Listeners for something that can be pointed at, or reached by keyboard. */
  const previewing = (load: Load, from: Place = 'view') => ({
    mouseenter: () => {
      show(load, from)
    },
    mouseleave: hide,
    focusin: () => {
      show(load, from)
    },
    focusout: hide,
    click: hide,
  })

  const loadingChange =
    (change: () => TakeChange | undefined): Load =>
    async (signal) => {
      const made = change()
      if (!made || !take.document) return undefined
      const body = { document: take.document, change: made, page: null }
      return (await answerOf(api.POST('/api/changes', { body, signal }))).document
    }
  /** The same for a change that the server would make. */
  const previewingChange = (change: () => TakeChange | undefined, from: Place = 'view') =>
    previewing(loadingChange(change), from)
  const showChange = (change: () => TakeChange | undefined, from: Place = 'view') => {
    show(loadingChange(change), from)
  }

  return { document, place, show, showChange, previewing, previewingChange, hide }
})
