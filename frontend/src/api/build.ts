/** Which build of Tonada the server has: another one than when the page was opened means that it was brought up to date. */
import { ref } from 'vue'

let first: string | null | undefined
const isOutdated = ref(false)

/** Told of every answer. */
export function noteBuild(answer: Response) {
  const build = answer.headers.get('X-Tonada-Build')
  if (!build) return
  first ??= build
  isOutdated.value = build !== first
}

export const useOutdated = () => isOutdated
