import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { api, answerOf, UserError } from '@/api/client'
import type { Evaluation, ProofFigures, Take, TakeChange, TakeDocument } from '@/api/types'
import { useEvaluation } from './useEvaluation'
import { useHistory } from './useHistory'
import { useReplay } from './useReplay'
import { EMPTY_TAKE } from '@/api/constants'
import { createQueue } from '@/ui/asking'
import { isCurrent, unsentInCurrentFormat } from './formats'
import { isSameDocument } from './same'
import { asKept, inScheme } from './scheme'
import type { Scheme } from './scheme'
import { unsent } from './unsent'
import { createSaving } from './saving'
import type { Saving } from './saving'

/** What must be saved first is not: nothing that speaks of the take as it is shown may be made of it. */
class NotSaved extends UserError {
  constructor() {
    super('The last changes are not saved yet. Try again when they are.')
  }
}

/** What was to be changed is not what it was. */
class TakeMoved extends UserError {
  constructor() {
    super('The take was changed meanwhile, so nothing was replaced. Try again.')
  }
}

/** A version that is looked at in place of the take. */
export interface LookedAt {
  number: number
  description: string
  document: TakeDocument
}

/** Where a change began: the take that it is for, and what that was then. */
export interface Beginning {
  saving: Saving
  kept: TakeDocument
  document: TakeDocument
}

/** The open take: its document, the steps back and forward, and its way into the database. */
const NO_PAIRS = { passes: 0, fails: 0, exempt: 0, unknown: 0, judged: 0 }

export const useTakeStore = defineStore('take', () => {
  const saving = shallowRef<Saving>()
  /** Of takes that were left before everything of them was saved. They go on by themselves. */
  const left = shallowRef<readonly Saving[]>([])
  const take = computed(() => saving.value?.take.value)
  const saveState = computed(() => saving.value?.state.value ?? 'saved')
  const conflict = computed(() => saving.value?.conflict.value)
  /** As it is saved: by day. What the views show is in the scheme that is looked at. */
  const kept = shallowRef<TakeDocument>()
  const wanted = ref<Scheme>('day')
  /** While a version is looked at, every view shows it, and nothing can be changed. */
  const looking = shallowRef<LookedAt>()
  const isRefused = ref(false)
  const scheme = computed<Scheme>({
    get: () => ((looking.value?.document ?? kept.value)?.other ? wanted.value : 'day'),
    set: (value) => (wanted.value = value),
  })
  /** The document that was shown when it was kept, so that it stays the same object. */
  let entered: { shown: TakeDocument; kept: TakeDocument } | undefined
  const now = computed(() => {
    if (!kept.value) return undefined
    const isEntered = entered?.kept === kept.value && entered.shown.scheme === scheme.value
    return isEntered ? entered?.shown : inScheme(kept.value, scheme.value)
  })
  const document = computed(() =>
    looking.value ? inScheme(looking.value.document, scheme.value) : now.value,
  )
  const history = useHistory<TakeDocument>(isCurrent)
  const { evaluation: own, know } = useEvaluation(document)
  /** What a gesture shows while it lasts; nothing of it is recorded or saved before it ends. */
  const preview = shallowRef<{
    document: TakeDocument
    evaluation: Evaluation
    page?: ProofFigures | null
    pageScheme?: Scheme | undefined
  }>()
  const shown = computed(() => preview.value?.document ?? document.value)
  const evaluation = computed(() => preview.value?.evaluation ?? own.value)
  const replay = useReplay({ saving, kept, change: record })
  /** Why the last change could not be made, where whoever asked for it has no place to say so. */
  const changeProblem = ref('')
  let opening = 0
  /** Whole changes, one after the other: each begins from what the one before made. */
  const inOrder = createQueue()

  async function open(takeId: string) {
    const number = ++opening
    close()
    const before = left.value.find((one) => one.id === takeId)
    await before?.settled()
    const path = { take_id: takeId }
    const [found, figures] = await Promise.all([
      answerOf(api.GET('/api/takes/{take_id}', { params: { path } })),
      figuresOf(takeId),
    ])
    const adopted = before?.isUnsaved() ? undefined : await unsent.adopt(takeId)
    const lost = adopted && (await unsentInCurrentFormat(adopted))
    // Another one was opened meanwhile: its answer counts, in whatever order they come.
    if (number !== opening) return
    left.value = left.value.filter((one) => one !== before && one.isUnsaved())
    history.open(takeId)
    // Of another revision they are where someone saved in between: then they are asked for.
    if (figures?.revision === found.revision) know(found.document, figures.evaluation)
    if (before && isNewer(before, found)) attach(before)
    else attach(createSaving(found))
    if (lost) resume(found, lost)
    saving.value?.goOn()
    replay.start()
  }

  /** They come beside the take, so that it is shown at once; without them they are asked for as always. */
  const figuresOf = (takeId: string) =>
    answerOf(
      api.GET('/api/takes/{take_id}/evaluation', { params: { path: { take_id: takeId } } }),
    ).catch(() => undefined)

  const isNewer = (before: Saving, found: Take) =>
    before.isUnsaved() || before.take.value.revision > found.revision

  function attach(next: Saving) {
    saving.value = next
    kept.value = next.newest()
  }

  /** What a window that was closed in between could not save is sent now. */
  function resume(found: Take, lost: NonNullable<Awaited<ReturnType<typeof unsent.adopt>>>) {
    const isThere = isSameDocument(lost.document, found.document)
    if (isThere && !lost.intents.length) {
      unsent.forget(found.id)
      return
    }
    const newest = isThere ? found.document : { ...EMPTY_TAKE, ...lost.document }
    if (!isThere) history.record(found.document)
    saving.value?.resume({
      ...lost,
      document: newest,
      ...(isThere && { revision: found.revision, pending: null }),
    })
    kept.value = saving.value?.newest()
  }

  function close() {
    if (saving.value?.isUnsaved()) leave(saving.value)
    saving.value = kept.value = preview.value = looking.value = undefined
    isRefused.value = false
    changeProblem.value = ''
    wanted.value = 'day'
  }

  /** One step of the user's: recorded, shown at once, saved. Its figures may come with it. */
  function change(next: TakeDocument, figures?: Evaluation) {
    if (!refuses()) record(next, figures)
    preview.value = undefined
  }

  /** A version never changes: what would change it is refused, and that is said. */
  function refuses() {
    isRefused.value = looking.value !== undefined
    return isRefused.value
  }

  /** Before a change of several steps, so that what is refused is not said to be done. */
  function mustBeChangeable() {
    if (refuses())
      throw new UserError(
        'You are looking at a version, which never changes. Go back to the take first.',
      )
  }

  /** What waited for the server is made of the take as it is now, whatever is looked at. */
  function record(next: TakeDocument, figures?: Evaluation) {
    if (!kept.value || next === now.value) return
    history.record(kept.value)
    entered = { shown: next, kept: asKept(next) }
    if (figures && !looking.value) know(next, figures)
    put(entered.kept)
  }

  /** Until it is finished, another take may be opened, or this one changed. */
  const begin = (): Beginning | undefined =>
    saving.value && kept.value && document.value
      ? { saving: saving.value, kept: kept.value, document: document.value }
      : undefined
  const isOpen = (from: Beginning) => from.saving.id === saving.value?.id
  const newestOf = (from: Beginning) =>
    (isOpen(from) ? kept.value : undefined) ?? from.saving.newest()
  const hasMoved = (from: Beginning) => newestOf(from) !== from.kept

  /** The take as it is now, in the scheme in which the change was asked for. */
  function beginAgain(from: Beginning): Beginning {
    const newest = newestOf(from)
    return { ...from, kept: newest, document: inScheme(newest, from.document.scheme) }
  }

  /** What was made goes into the take that it was asked for, whatever is open by now. */
  function finish(from: Beginning, next: TakeDocument, figures?: Evaluation) {
    if (isOpen(from)) change(next, figures)
    else {
      from.saving.keep(asKept(next))
      leave(from.saving)
    }
  }

  /** A field that is set once the server has said what to: of the take as it is by then, and of no other. */
  function edit(from: Beginning | undefined, set: (document: TakeDocument) => TakeDocument) {
    if (!from) return
    const base = beginAgain(from)
    finish(base, set(base.document))
  }

  function postpone(change: TakeChange, from: Beginning) {
    const intent = { change, scheme: from.document.scheme }
    if (!isOpen(from)) {
      from.saving.postpone([...from.saving.intents.value, intent])
      leave(from.saving)
    } else if (!refuses()) replay.postpone(intent)
  }

  function leave(one: Saving) {
    if (!left.value.includes(one)) left.value = [...left.value, one]
  }

  function look(version: LookedAt | undefined) {
    preview.value = undefined
    isRefused.value = false
    looking.value = version
  }

  function put(next: TakeDocument | undefined) {
    if (!next) return
    kept.value = next
    saving.value?.keep(next)
  }

  /** A change that waits for the server is the newest step. */
  const undo = () => {
    if (refuses()) return
    if (!replay.takeBack()) put(kept.value && history.undo(kept.value))
  }
  const redo = () => {
    if (!refuses()) put(kept.value && history.redo(kept.value))
  }

  /** The other window's state becomes this one's; what was made here stays one step back. */
  function takeTheirs() {
    const { value: theirs } = conflict
    if (!theirs || !kept.value) return
    history.record(kept.value)
    saving.value?.forget()
    attach(createSaving(theirs))
  }

  /** What was made here becomes a take of its own, beside the other window's or the deleted one. */
  const keepMine = (): Promise<Take | undefined> => inOrder(keepMineNow)
  async function keepMineNow(): Promise<Take | undefined> {
    const { value: mine } = saving
    if (!mine || !kept.value) return undefined
    const made = await createFrom(kept.value)
    const intents = mine.intents.value
    if (intents.length)
      unsent.keep(made.id, {
        document: made.document,
        revision: made.revision,
        pending: null,
        intents,
      })
    mine.forget()
    return made
  }

  /** An empty take, or one made from a document, at the end of the brand's. */
  const createEmpty = () => createFrom(undefined)

  /** Until everything is saved. Throws NotSaved where that can't be had now. */
  async function allSaved() {
    const { value: mine } = saving
    await mine?.settled()
    if (mine?.isUnsaved() || mine !== saving.value) throw new NotSaved()
  }

  /**
   * The version before something large, which was made of `from`. Throws where the take was changed
   * meanwhile, or another one opened: what follows would undo that, or end up there.
   */
  async function cutBefore(from: Beginning | undefined, description: string) {
    await cutVersion(description, true)
    if (!from || !isOpen(from) || hasMoved(from)) throw new TakeMoved()
  }

  /** Keep the saved state as a version. */
  async function cutVersion(description: string, is_automatic = false) {
    mustBeChangeable()
    await allSaved()
    if (!take.value) return
    await answerOf(
      api.POST('/api/takes/{take_id}/versions', {
        params: { path: { take_id: take.value.id } },
        body: { description, is_automatic },
      }),
    )
  }

  function createFrom(from: TakeDocument | undefined): Promise<Take> {
    const brandId = take.value?.brand_id ?? ''
    return answerOf(
      api.POST('/api/brands/{brand_id}/takes', {
        params: { path: { brand_id: brandId } },
        body: { document: from ?? EMPTY_TAKE, name: null },
      }),
    )
  }

  return {
    take,
    document,
    /** As it is, whatever version is looked at. */
    now,
    looking,
    look,
    /** Whether a change was refused since a version is looked at. */
    isRefused,
    shown,
    scheme,
    evaluation,
    preview,
    saveState,
    saveProblem: computed(() => saving.value?.problem.value ?? ''),
    conflict,
    /** Takes that were left and are not saved yet. */
    unsavedElsewhere: computed(() =>
      left.value.filter((one) => one.state.value !== 'saved').map((one) => one.take.value.name),
    ),
    waitingChanges: replay.count,
    replayProblem: replay.problem,
    dismissReplayProblem: () => (replay.problem.value = ''),
    failing: computed(() => evaluation.value?.counts.fails ?? 0),
    counts: computed(() => evaluation.value?.counts ?? NO_PAIRS),
    isEmpty: computed(() => document.value?.swatches?.length === 0),
    canUndo: computed(() => !looking.value && (history.canUndo.value || replay.count.value > 0)),
    canRedo: computed(() => !looking.value && history.canRedo.value),
    open,
    change,
    begin,
    beginAgain,
    isOpen,
    hasMoved,
    finish,
    edit,
    postpone,
    inOrder,
    changeProblem,
    replay: replay.start,
    undo,
    redo,
    takeTheirs,
    keepMine,
    bringBack: async () => saving.value?.restore(),
    createFrom,
    createEmpty,
    allSaved,
    cutVersion,
    cutBefore,
    mustBeChangeable,
  }
})
