import { onScopeDispose, ref } from 'vue'
import { api, explain, given } from '@/api/client'
import type { Evaluation, TakeChange, TakeDocument } from '@/api/types'
import { isSameDocument } from '@/document/same'
import { useTakeStore } from '@/stores/take'

interface Shown {
  document: TakeDocument
  evaluation: Evaluation
  said?: readonly string[]
}
type Work = (from: TakeDocument) => Promise<Shown>

/** Changes and their figures. A gesture shows each answer and records the last one as one step. */
export function useChange() {
  const take = useTakeStore()
  const problem = ref('')
  /** What the server had to say of the last change. */
  const said = ref<readonly string[]>([])
  let from: TakeDocument | undefined
  let waiting: Work | undefined
  let running: Promise<void> | undefined
  let disposed = false
  let last: Shown | undefined
  /** A change that is being kept may take away the part of the page that asked for it. */
  let keeping = false
  /** Whole changes, one after the other: each begins from what the one before made. */
  let queue: Promise<void> = Promise.resolve()

  function begin(work: Work) {
    from ??= take.document
    waiting = work
    running ??= run().finally(() => (running = undefined))
  }

  /** Show what a change would do, from the state that the gesture began with. */
  const show = (change: TakeChange) => {
    begin((document) => given(api.POST('/api/changes', { body: { document, change } })))
  }

  /** Show a document that was made here, with its figures. */
  const showDocument = (document: TakeDocument) => {
    begin(async () => ({
      document,
      evaluation: await given(api.POST('/api/evaluate', { body: { document } })),
    }))
  }

  async function run() {
    while (waiting && from && !disposed) {
      const work = waiting
      waiting = undefined
      try {
        const answer = await work(from)
        if (!from) continue
        last = answer
        take.preview = answer
        said.value = answer.said ?? []
        problem.value = ''
      } catch (reason) {
        problem.value = explain(reason)
      }
    }
  }

  /** The gesture ends: what is shown becomes a step. */
  async function keep() {
    keeping = true
    await running
    keeping = false
    const result = last?.document
    from = last = undefined
    take.preview = undefined
    if (result && !isSameDocument(result, take.document)) take.change(result)
  }

  /** The gesture is given up: everything is as it was. */
  function drop() {
    waiting = from = last = undefined
    take.preview = undefined
  }

  /** A whole change at once; one that is made meanwhile waits for it. */
  function make(change: TakeChange | (() => TakeChange | undefined)): Promise<void> {
    queue = queue.then(async () => {
      const made = typeof change === 'function' ? change() : change
      if (!made || disposed) return
      show(made)
      await keep()
    })
    return queue
  }

  onScopeDispose(() => {
    disposed = true
    if (!keeping) drop()
  })
  return { problem, said, show, showDocument, keep, drop, make }
}
