/** An answer of the server that follows what it is asked of; the one to the newest question counts. */
import { watchDebounced } from '@vueuse/core'
import { onScopeDispose, ref, shallowRef, watch } from 'vue'
import { createLatest, createPaced } from './asking'
import { useQuestion } from './useAnswer'
import { explain } from '@/api/client'

interface Options {
  /** Whether the answer before stays until the new one is there; else there is none in between. */
  keeps?: boolean
  /** Milliseconds without a change before anything is asked. */
  wait?: number
  /** While it is dragged: one question at a time, so that answers keep coming; else the newest cancels. */
  isPaced?: boolean
  /** Whether a failure stands among the unanswered questions, since the view has no place for it. */
  isShared?: boolean
}

/** question: undefined where there is nothing to ask; then there is no answer either. */
export function useFollowing<Question, Answer>(
  question: () => Question | undefined,
  read: (question: Question, signal: AbortSignal) => Promise<Answer>,
  { keeps = true, wait = 0, isPaced = false, isShared = false }: Options = {},
) {
  const answer = shallowRef<Answer>()
  const problem = ref('')
  const isAsking = ref(false)
  const latest = createLatest()
  const shared = isShared ? useQuestion(askAgain) : undefined

  async function follow(now: Question | undefined) {
    if (!keeps || now === undefined) answer.value = undefined
    if (now === undefined) {
      latest.cancel()
      isAsking.value = false
      problem.value = ''
      shared?.answered()
      return
    }
    isAsking.value = true
    try {
      const found = await latest.ask((signal) => read(now, signal))
      if (found === undefined) return
      answer.value = found
      isAsking.value = false
      problem.value = ''
      shared?.answered()
    } catch (reason) {
      isAsking.value = false
      problem.value = explain(reason)
      shared?.failed(reason)
    }
  }

  function askAgain() {
    return follow(question())
  }

  const paced = createPaced((asked: { now: Question | undefined }) => follow(asked.now))
  const ask = (now: Question | undefined) => (isPaced ? paced.ask({ now }) : follow(now))
  if (wait) watchDebounced(question, ask, { debounce: wait, immediate: true })
  else watch(question, ask, { immediate: true })
  onScopeDispose(() => {
    paced.drop()
    latest.cancel()
  })
  return { answer, problem, isAsking, askAgain }
}
