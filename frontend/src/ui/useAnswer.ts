/** What views ask the server for when they open. What got no answer is said once for all of them. */
import { computed, onScopeDispose, shallowRef } from 'vue'
import { createLatest } from './asking'
import { explain } from '@/api/client'

interface Question {
  problem: string
  ask: () => unknown
}
const unanswered = shallowRef<readonly Question[]>([])

/** A question that may fail: then it stands among the unanswered ones until it is answered. */
export function useQuestion(ask: () => unknown) {
  let own: Question | undefined
  let disposed = false
  const answered = () => {
    unanswered.value = unanswered.value.filter((one) => one !== own)
  }
  const failed = (reason: unknown) => {
    answered()
    if (disposed) return
    own = { problem: explain(reason), ask }
    unanswered.value = [...unanswered.value, own]
  }
  onScopeDispose(() => {
    disposed = true
    answered()
  })
  return { answered, failed }
}

/** The answer to a question, which is asked at once or later. One to an older asking is not taken. */
export function useAnswer<T>(read: () => Promise<T>, atOnce = true) {
  const answer = shallowRef<T>()
  const question = useQuestion(ask)
  const latest = createLatest()

  async function ask() {
    try {
      const found = await latest.ask(read)
      if (found === undefined) return
      answer.value = found
      question.answered()
    } catch (reason) {
      question.failed(reason)
    }
  }
  onScopeDispose(latest.cancel)
  if (atOnce) void ask()
  return { answer, ask }
}

/** What to say of the questions without an answer, and all of them asked again. */
export const useUnanswered = () => ({
  problem: computed(() => unanswered.value[0]?.problem ?? ''),
  askAgain: () => {
    for (const { ask } of unanswered.value) ask()
  },
})
