import { computed, onScopeDispose, shallowRef } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useMissingPart } from '@/ui/missingPart'

/**
 * A view, or a part of one, whose code can't be loaded, since there is no line, or since Tonada was brought
 * up to date under the open page: a browser doesn't ask again for what it could not load, so that only a
 * reload helps.
 */
export function useLostView() {
  const router = useRouter()
  const route = useRoute()
  const { isMissing } = useMissingPart()
  /** Where it was to go. */
  const wanted = shallowRef<string>()
  const lost = computed(() => wanted.value ?? (isMissing.value ? route.fullPath : undefined))
  const stops = [
    router.onError((_reason, to) => (wanted.value = to.fullPath)),
    router.afterEach((_to, _from, failure) => {
      if (!failure) dismiss()
    }),
  ]
  onScopeDispose(() => {
    for (const stop of stops) stop()
  })

  /** What isn't saved yet stands in the browser's storage, and goes on from there. */
  function reload() {
    if (lost.value) location.assign(lost.value)
  }
  function dismiss() {
    wanted.value = undefined
    isMissing.value = false
  }
  return { lost, reload, dismiss }
}
