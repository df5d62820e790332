/** Which build of Tonada the server has: another one than when the page was opened is a new version. */
import { computed, ref } from 'vue'

const first = ref<string>()
const newest = ref<string>()
/** The build whose notice was dismissed. */
const dismissed = ref<string>()

/** Told of every answer. */
export function noteBuild(answer: Response) {
  const build = answer.headers.get('X-Tonada-Build')
  if (!build) return
  first.value ??= build
  newest.value = build
}

export function useOutdated() {
  const isOutdated = computed(
    () => newest.value !== first.value && newest.value !== dismissed.value,
  )
  function dismiss() {
    dismissed.value = newest.value
  }
  return { isOutdated, dismiss }
}
