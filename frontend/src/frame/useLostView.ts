import { onScopeDispose, shallowRef } from 'vue'
import { useRouter } from 'vue-router'

/**
 * A view whose code can't be loaded, since there is no line, or since Tonada was brought up to date under
 * the open page: a browser doesn't ask again for what it could not load, so that only a reload helps.
 */
export function useLostView() {
  const router = useRouter()
  /** Where it was to go. */
  const lost = shallowRef<string>()
  const stops = [
    router.onError((_reason, to) => (lost.value = to.fullPath)),
    router.afterEach((_to, _from, failure) => {
      if (!failure) lost.value = undefined
    }),
  ]
  onScopeDispose(() => {
    for (const stop of stops) stop()
  })

  /** What isn't saved yet stands in the browser's storage, and goes on from there. */
  function reload() {
    if (lost.value) location.assign(lost.value)
  }
  return { lost, reload, dismiss: () => (lost.value = undefined) }
}
