import { onScopeDispose, ref } from 'vue'
import { api, explain, given, isUnreachable } from '@/api/client'
import type { Evaluation, PageWanted, ProofFigures, TakeChange, TakeDocument } from '@/api/types'
import { usePageWanted } from './pageWanted'
import { isSameDocument } from './same'
import { useTakeStore } from './take'
import { createQueue } from '@/ui/asking'
import { keepEqual } from '@/ui/keepEqual'

interface Shown {
  document: TakeDocument
  evaluation: Evaluation
  said?: readonly string[]
  /** What the page beside is drawn with, and in which scheme. */
  page?: ProofFigures | null
  pageScheme?: PageWanted['scheme'] | undefined
}
/** intent: a change that can be made later as well, where the server can't be asked now. */
interface Work {
  make: (from: TakeDocument) => Promise<Shown>
  intent?: TakeChange
}
const WAITS = 'The server can’t be reached. The change is kept, and made when it is back.'

/** Changes and their figures. A gesture shows each answer and records the last one as one step. */
export function useChange() {
  const take = useTakeStore()
  const { wanted } = usePageWanted()
  const problem = ref('')
  /** What the server had to say of the last change. */
  const said = ref<readonly string[]>([])
  let from: TakeDocument | undefined
  let waiting: Work | undefined
  let running: Promise<void> | undefined
  let disposed = false
  let last: Shown | undefined
  /** The newest change of the gesture where the server could not be asked for it. */
  let unreached: TakeChange | undefined
  /** A change that is being kept may take away the part of the page that asked for it. */
  let keeping = false
  /** Whole changes, one after the other: each begins from what the one before made. */
  const inOrder = createQueue()

  function begin(work: Work) {
    from ??= take.document
    waiting = work
    running ??= run()
  }

  /** Show what a change would do, from the state that the gesture began with. */
  const show = (change: TakeChange) => {
    begin({
      make: async (document) => {
        const page = wanted.value ?? null
        const made = await given(api.POST('/api/changes', { body: { document, change, page } }))
        return { ...made, pageScheme: page?.scheme }
      },
      intent: change,
    })
  }

  /** Show a document that was made here, with its figures. */
  const showDocument = (document: TakeDocument) => {
    begin({
      make: async () => ({
        document,
        evaluation: await given(api.POST('/api/evaluate', { body: { document } })),
      }),
    })
  }

  async function run() {
    // Never done before it is known to be running, and known to be done as soon as it is.
    await Promise.resolve()
    while (waiting && from && !disposed) {
      const work = waiting
      waiting = undefined
      try {
        // What waits already comes first.
        if (take.waitingChanges && work.intent) throw new TypeError(WAITS)
        const answer = await work.make(from)
        if (!from) continue
        last = keepEqual(take.preview ?? { document: from, evaluation: take.evaluation }, answer)
        unreached = undefined
        take.preview = last
        said.value = answer.said ?? []
        problem.value = ''
      } catch (reason) {
        unreached = isUnreachable(reason) ? work.intent : undefined
        problem.value = unreached ? WAITS : explain(reason)
      }
    }
    running = undefined
  }

  /** The gesture ends: what is shown becomes a step. */
  async function keep() {
    keeping = true
    await running
    keeping = false
    const [result, intent] = [last, unreached]
    from = last = unreached = undefined
    if (intent) take.postpone(intent)
    else if (result && !isSameDocument(result.document, take.document))
      take.change(result.document, result.evaluation)
    take.preview = undefined
  }

  /** The gesture is given up: everything is as it was. */
  function drop() {
    waiting = from = last = unreached = undefined
    take.preview = undefined
  }

  /** A whole change at once; one that is made meanwhile waits for it. */
  function make(change: TakeChange | (() => TakeChange | undefined)): Promise<void> {
    return inOrder(async () => {
      const made = typeof change === 'function' ? change() : change
      if (!made || disposed) return
      show(made)
      await keep()
    })
  }

  onScopeDispose(() => {
    disposed = true
    if (!keeping) drop()
  })
  return { problem, said, show, showDocument, keep, drop, make }
}
