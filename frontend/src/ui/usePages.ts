/** A long list of the server, a page at a time. */
import { computed, onScopeDispose, ref, shallowRef } from 'vue'
import { createLatest } from './asking'
import { useQuestion } from './useAnswer'

interface Page<Item, Place> {
  items: readonly Item[]
  next: Place | null
}

/** read: the page after a place, or the first one. A failure stands among the unanswered questions. */
export function usePages<Item, Place>(
  read: (after: Place | null, signal: AbortSignal) => Promise<Page<Item, Place>>,
) {
  const items = shallowRef<readonly Item[]>()
  const next = shallowRef<Place | null>(null)
  const isLoading = ref(false)
  const latest = createLatest()
  let wanted: 'first' | 'more' = 'first'
  const question = useQuestion(() => load(wanted))

  async function load(which: 'first' | 'more') {
    wanted = which
    isLoading.value = true
    try {
      const after = which === 'more' ? next.value : null
      const page = await latest.ask((signal) => read(after, signal))
      if (!page) return
      items.value = which === 'more' ? [...(items.value ?? []), ...page.items] : page.items
      next.value = page.next
      question.answered()
    } catch (reason) {
      question.failed(reason)
    } finally {
      isLoading.value = false
    }
  }

  onScopeDispose(latest.cancel)
  return {
    items,
    isLoading,
    hasMore: computed(() => next.value !== null),
    /** From the beginning. */
    reload: () => load('first'),
    more: () => load('more'),
  }
}
