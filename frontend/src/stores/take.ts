import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { api, given, ProblemError } from '@/api/client'
import type { Evaluation, Take, TakeDocument } from '@/api/types'
import { useEvaluation } from '@/composables/useEvaluation'
import { useHistory } from '@/composables/useHistory'
import { EMPTY_TAKE } from '@/document/empty'
import { isSameDocument } from '@/document/same'
import { asKept, inScheme } from '@/document/scheme'
import type { Scheme } from '@/document/scheme'
import { unsent } from '@/document/unsent'

export type SaveState = 'saved' | 'saving' | 'waiting' | 'conflict'
const RETRY_MS = 4000

/** The open take: its document, the steps back and forward, and its way into the database. */
export const useTakeStore = defineStore('take', () => {
  const take = shallowRef<Take>()
  /** As it is saved: by day. What the views show is in the scheme that is looked at. */
  const kept = shallowRef<TakeDocument>()
  const wanted = ref<Scheme>('day')
  const scheme = computed<Scheme>({
    get: () => (kept.value?.other ? wanted.value : 'day'),
    set: (value) => (wanted.value = value),
  })
  const document = computed(() => kept.value && inScheme(kept.value, scheme.value))
  const saveState = ref<SaveState>('saved')
  const conflict = shallowRef<Take>()
  const history = useHistory<TakeDocument>()
  const { evaluation: own } = useEvaluation(document)
  /** What a gesture shows while it lasts; nothing of it is recorded or saved before it ends. */
  const preview = shallowRef<{ document: TakeDocument; evaluation: Evaluation }>()
  const shown = computed(() => preview.value?.document ?? document.value)
  const evaluation = computed(() => preview.value?.evaluation ?? own.value)
  let running = false
  let retry: ReturnType<typeof setTimeout> | undefined

  async function open(takeId: string) {
    await settle()
    take.value = kept.value = conflict.value = preview.value = undefined
    wanted.value = 'day'
    show(await given(api.GET('/api/takes/{take_id}', { params: { path: { take_id: takeId } } })))
    history.open(takeId)
    sendUnsent(takeId)
  }

  /** What a window that was closed in between could not save is sent now. */
  function sendUnsent(takeId: string) {
    const left = unsent.read(takeId)
    if (!left || !take.value || !kept.value) return
    if (isSameDocument(left.document, kept.value)) {
      unsent.forget(takeId)
      return
    }
    history.record(kept.value)
    take.value = { ...take.value, revision: left.revision }
    put({ ...EMPTY_TAKE, ...left.document })
  }

  function show(saved: Take) {
    take.value = saved
    kept.value = saved.document
    saveState.value = 'saved'
    conflict.value = undefined
  }

  /** One step of the user's: recorded, shown at once, saved. */
  function change(next: TakeDocument) {
    preview.value = undefined
    if (!kept.value || next === document.value) return
    history.record(kept.value)
    put(asKept(next))
  }

  function put(next: TakeDocument | undefined) {
    if (!next) return
    kept.value = next
    if (saveState.value !== 'conflict') void save()
  }

  const undo = () => put(kept.value && history.undo(kept.value))
  const redo = () => put(kept.value && history.redo(kept.value))

  /** Send the newest document; while one is on its way, the next one waits. */
  async function save() {
    clearTimeout(retry)
    if (take.value && kept.value)
      unsent.keep(take.value.id, { document: kept.value, revision: take.value.revision })
    saveState.value = 'saving'
    if (running) return
    running = true
    try {
      while (take.value && kept.value && kept.value !== take.value.document) {
        const sent = kept.value
        const { id, revision } = take.value
        const saved = await given(
          api.PUT('/api/takes/{take_id}', {
            params: { path: { take_id: id } },
            body: { document: sent, revision },
          }),
        )
        take.value = { ...saved, document: sent }
      }
      saveState.value = 'saved'
      if (take.value) unsent.forget(take.value.id)
    } catch (reason) {
      refused(reason)
    } finally {
      running = false
    }
  }

  function refused(reason: unknown) {
    if (reason instanceof ProblemError && reason.problem.take) {
      conflict.value = reason.problem.take
      saveState.value = 'conflict'
    } else {
      saveState.value = 'waiting'
      retry = setTimeout(() => void save(), RETRY_MS)
    }
  }

  /** Before another take is opened, let the last change of this one arrive. */
  async function settle() {
    for (let tries = 0; running && tries < 50; tries++) {
      await new Promise((resolve) => setTimeout(resolve, 40))
    }
    clearTimeout(retry)
  }

  /** The other window's state becomes this one's; what was made here stays one step back. */
  function takeTheirs() {
    if (!conflict.value || !kept.value) return
    history.record(kept.value)
    unsent.forget(conflict.value.id)
    show(conflict.value)
  }

  /** What was made here becomes a take of its own beside the other window's. */
  async function keepMine(): Promise<Take | undefined> {
    if (!take.value || !kept.value) return undefined
    const made = await createFrom(kept.value)
    unsent.forget(take.value.id)
    conflict.value = undefined
    saveState.value = 'saved'
    return made
  }

  /** An empty take, or one made from a document, at the end of the brand's. */
  const createEmpty = () => createFrom(undefined)

  /** Keep the saved state as a version; before something large this happens by itself. */
  async function cutVersion(note: string, is_automatic = false) {
    await settle()
    if (!take.value) return
    await given(
      api.POST('/api/takes/{take_id}/versions', {
        params: { path: { take_id: take.value.id } },
        body: { note, is_automatic },
      }),
    )
  }

  function createFrom(from: TakeDocument | undefined): Promise<Take> {
    const brandId = take.value?.brand_id ?? ''
    return given(
      api.POST('/api/brands/{brand_id}/takes', {
        params: { path: { brand_id: brandId } },
        body: { document: from ?? EMPTY_TAKE, name: null },
      }),
    )
  }

  return {
    take,
    document,
    shown,
    scheme,
    evaluation,
    preview,
    saveState,
    conflict,
    failing: computed(() => evaluation.value?.failing ?? 0),
    isEmpty: computed(() => document.value?.swatches?.length === 0),
    canUndo: history.canUndo,
    canRedo: history.canRedo,
    open,
    change,
    undo,
    redo,
    takeTheirs,
    keepMine,
    createFrom,
    createEmpty,
    cutVersion,
  }
})
