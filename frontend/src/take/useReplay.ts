/** Changes that were made while the server was away. Only it knows the rules, so what is kept is what
 * was wanted; it is made in that order when the server is back. */
import { useEventListener } from '@vueuse/core'
import { computed, onScopeDispose, ref } from 'vue'
import type { ShallowRef } from 'vue'
import { api, explain, answerOf, isUnreachable } from '@/api/client'
import type { Evaluation, TakeDocument } from '@/api/types'
import { inScheme } from './scheme'
import type { Intent } from './unsent'
import type { Saving } from './saving'

const AGAIN_MS = 4000

interface Work {
  saving: ShallowRef<Saving | undefined>
  kept: ShallowRef<TakeDocument | undefined>
  change: (next: TakeDocument, figures?: Evaluation) => void
}

export function useReplay({ saving, kept, change }: Work) {
  /** What could not be made after all, since the palette has changed. */
  const problem = ref('')
  const intents = computed(() => saving.value?.intents.value ?? [])
  let running = false
  let again: ReturnType<typeof setTimeout> | undefined

  function postpone(intent: Intent) {
    saving.value?.postpone([...intents.value, intent])
    later()
  }

  function later() {
    clearTimeout(again)
    again = setTimeout(start, AGAIN_MS)
  }

  function start() {
    clearTimeout(again)
    if (!running && intents.value.length) void run()
  }

  async function run() {
    running = true
    try {
      while (intents.value.length && kept.value) await makeFirst()
    } catch {
      later()
    } finally {
      running = false
    }
  }

  /** Throws where the server can't be reached; what it refuses is said and given up. */
  async function makeFirst() {
    const { value: own } = saving
    const { value: base } = kept
    const [first] = intents.value
    // Without it: what was asked for while it was on its way stays.
    const rest = () => intents.value.slice(1)
    if (!own || !base || !first) return
    try {
      const document = inScheme(base, first.scheme)
      const made = await answerOf(
        api.POST('/api/changes', { body: { document, change: first.change, page: null } }),
      )
      // Something else was changed, taken back or opened meanwhile: what comes first now is made again.
      if (own !== saving.value || base !== kept.value || first !== intents.value[0]) return
      own.postpone(rest())
      change(made.document, made.evaluation)
    } catch (reason) {
      if (isUnreachable(reason)) throw reason
      if (own === saving.value && first === intents.value[0]) own.postpone(rest())
      problem.value = `A change that waited could not be made. ${explain(reason)}`
    }
  }

  /** The newest change that waits is given up. Returns whether there was one. */
  function takeBack(): boolean {
    if (!intents.value.length) return false
    saving.value?.postpone(intents.value.slice(0, -1))
    return true
  }

  useEventListener('online', () => {
    saving.value?.send()
    start()
  })
  onScopeDispose(() => {
    clearTimeout(again)
  })

  return { postpone, takeBack, start, problem, count: computed(() => intents.value.length) }
}
