import { onScopeDispose, ref } from 'vue'
import { api, explain, given } from '@/api/client'
import type { TakeChange, TakeDocument } from '@/api/types'
import { useTakeStore } from '@/stores/take'

/** Changes that the server computes. A gesture shows each answer and records the last one as one step. */
export function useChange() {
  const take = useTakeStore()
  const problem = ref('')
  let from: TakeDocument | undefined
  let waiting: TakeChange | undefined
  let running: Promise<void> | undefined
  let disposed = false

  /** Show what a change would do, from the state that the gesture began with. */
  function show(change: TakeChange) {
    from ??= take.document
    waiting = change
    running ??= run().finally(() => (running = undefined))
  }

  async function run() {
    while (waiting && from && !disposed) {
      const change = waiting
      waiting = undefined
      try {
        const answer = await given(api.POST('/api/changes', { body: { document: from, change } }))
        if (from) take.preview = answer
        problem.value = ''
      } catch (reason) {
        problem.value = explain(reason)
      }
    }
  }

  /** The gesture ends: what is shown becomes a step. */
  async function keep() {
    await running
    const result = take.preview?.document
    from = undefined
    take.preview = undefined
    if (result && JSON.stringify(result) !== JSON.stringify(take.document)) take.change(result)
  }

  /** The gesture is given up: everything is as it was. */
  function drop() {
    waiting = from = undefined
    take.preview = undefined
  }

  async function make(change: TakeChange) {
    show(change)
    await keep()
  }

  onScopeDispose(() => {
    disposed = true
    drop()
  })
  return { problem, show, keep, drop, make }
}
