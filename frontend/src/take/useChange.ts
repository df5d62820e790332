import { storeToRefs } from 'pinia'
import { onScopeDispose, ref, watch } from 'vue'
import { api, explain, answerOf, isUnreachable } from '@/api/client'
import type { Evaluation, PageWanted, ProofFigures, TakeChange, TakeDocument } from '@/api/types'
import { usePageWanted } from './pageWanted'
import { isSameDocument } from './same'
import { useTakeStore } from './take'
import type { Beginning } from './take'
import { keepEqual } from '@/ui/keepEqual'

interface Shown {
  document: TakeDocument
  evaluation: Evaluation
  said: readonly string[]
  /** What the page beside is drawn with, and in which scheme. */
  page: ProofFigures | null
  pageScheme: PageWanted['scheme'] | undefined
}
const WAITS = 'The server can’t be reached. The change is kept, and made when it is back.'

interface Options {
  /** Whether whoever asks shows the problem in a place of its own; else it is said in the frame. */
  saysItself?: boolean
}

/** Changes and their figures. A gesture shows each answer and records the last one as one step. */
export function useChange({ saysItself = false }: Options = {}) {
  const take = useTakeStore()
  const { wanted } = usePageWanted()
  const problem = saysItself ? ref('') : storeToRefs(take).changeProblem
  /** What the server had to say of the last change. */
  const said = ref<readonly string[]>([])
  let began: Beginning | undefined
  let waiting: TakeChange | undefined
  let running: Promise<void> | undefined
  let disposed = false
  let last: { change: TakeChange; shown: Shown } | undefined
  /** The newest change of the gesture where the server could not be asked for it. */
  let unreached: TakeChange | undefined
  /** A change that is being kept may take away the part of the page that asked for it. */
  let keeping = false

  /** Show what a change would do, from the state that the gesture began with. */
  const show = (change: TakeChange) => {
    showFrom(take.begin(), change)
  }

  function showFrom(from: Beginning | undefined, change: TakeChange) {
    began ??= from
    waiting = change
    running ??= run()
  }

  async function ask(change: TakeChange, from: Beginning): Promise<Shown> {
    // What waits already comes first.
    if (take.waitingChanges) throw new TypeError(WAITS)
    const page = wanted.value ?? null
    const { document } = from
    const made = await answerOf(api.POST('/api/changes', { body: { document, change, page } }))
    return { ...made, pageScheme: page?.scheme }
  }

  async function run() {
    // Never done before it is known to be running, and known to be done as soon as it is.
    await Promise.resolve()
    while (waiting && began && (keeping || !disposed)) {
      const change = waiting
      waiting = undefined
      try {
        const answer = await ask(change, began)
        // It was given up, or another one has begun.
        if (!began) continue
        const before = take.preview ?? { document: began.document, evaluation: take.evaluation }
        last = { change, shown: keepEqual(before, answer) }
        unreached = undefined
        if (take.isOpen(began) && !take.hasMoved(began)) take.preview = last.shown
        say(last.shown)
      } catch (reason) {
        unreached = isUnreachable(reason) ? change : undefined
        problem.value = unreached ? WAITS : explain(reason)
      }
    }
    running = undefined
  }

  function say(shown: Shown) {
    said.value = shown.said
    problem.value = ''
  }

  /** The gesture ends: what is shown becomes a step. */
  async function keep() {
    keeping = true
    await running
    const [from, result, intent] = [began, last, unreached]
    began = last = unreached = undefined
    if (from && intent) take.postpone(intent, from)
    else if (from && result) await finish(from, result.change, result.shown)
    keeping = false
    take.preview = undefined
  }

  /** Where the take was changed meanwhile, what was asked for is made again of what it is now. */
  async function finish(from: Beginning, change: TakeChange, shown: Shown) {
    let [base, made] = [from, shown]
    try {
      while (take.hasMoved(base)) {
        base = take.beginAgain(base)
        made = await ask(change, base)
        say(made)
      }
    } catch (reason) {
      if (isUnreachable(reason)) take.postpone(change, base)
      problem.value = isUnreachable(reason) ? WAITS : explain(reason)
      return
    }
    if (!isSameDocument(made.document, base.document))
      take.finish(base, made.document, made.evaluation)
  }

  /** The gesture is given up: everything is as it was. */
  function drop() {
    waiting = began = last = unreached = undefined
    take.preview = undefined
  }

  /** A whole change at once; one that is made meanwhile waits for it. */
  function make(change: TakeChange | (() => TakeChange | undefined)): Promise<void> {
    const from = take.begin()
    return take.inOrder(async () => {
      // What is to be made of what is shown means nothing of another take.
      if (!from || (typeof change === 'function' && !take.isOpen(from))) return
      const made = typeof change === 'function' ? change() : change
      if (!made) return
      keeping = true
      showFrom(take.beginAgain(from), made)
      await keep()
    })
  }

  watch(
    () => take.waitingChanges,
    (count) => {
      if (!count && problem.value === WAITS) problem.value = ''
    },
  )
  onScopeDispose(() => {
    disposed = true
    if (!keeping) drop()
  })
  return { problem, said, show, keep, drop, make }
}
