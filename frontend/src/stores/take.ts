import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { api, given, ProblemError } from '@/api/client'
import type { Evaluation, Take, TakeDocument } from '@/api/types'
import { useEvaluation } from '@/composables/useEvaluation'
import { useHistory } from '@/composables/useHistory'
import { unsent } from '@/document/unsent'

export type SaveState = 'saved' | 'saving' | 'waiting' | 'conflict'
const RETRY_MS = 4000
const EMPTY: TakeDocument = {
  format: 1,
  level: 'AA',
  swatches: [],
  roles: [],
  pairs: [],
  harmony: {
    anchor: null,
    ground: null,
    rule: 'analogous with accent',
    spread: null,
    angles: [],
    character: null,
    lightness: null,
    chroma: null,
    span: null,
    web_safe: false,
    seed: null,
    varied_from: [],
  },
}

/** The open take: its document, the steps back and forward, and its way into the database. */
export const useTakeStore = defineStore('take', () => {
  const take = shallowRef<Take>()
  const document = shallowRef<TakeDocument>()
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
    take.value = document.value = conflict.value = preview.value = undefined
    show(await given(api.GET('/api/takes/{take_id}', { params: { path: { take_id: takeId } } })))
    history.open(takeId)
    sendUnsent(takeId)
  }

  /** What a window that was closed in between could not save is sent now. */
  function sendUnsent(takeId: string) {
    const left = unsent.read(takeId)
    if (!left || !take.value || !document.value) return
    if (JSON.stringify(left.document) === JSON.stringify(document.value)) {
      unsent.forget(takeId)
      return
    }
    history.record(document.value)
    take.value = { ...take.value, revision: left.revision }
    put(left.document)
  }

  function show(saved: Take) {
    take.value = saved
    document.value = saved.document
    saveState.value = 'saved'
    conflict.value = undefined
  }

  /** One step of the user's: recorded, shown at once, saved. */
  function change(next: TakeDocument) {
    preview.value = undefined
    if (!document.value || next === document.value) return
    history.record(document.value)
    put(next)
  }

  function put(next: TakeDocument | undefined) {
    if (!next) return
    document.value = next
    if (saveState.value !== 'conflict') void save()
  }

  const undo = () => put(document.value && history.undo(document.value))
  const redo = () => put(document.value && history.redo(document.value))

  /** Send the newest document; while one is on its way, the next one waits. */
  async function save() {
    clearTimeout(retry)
    if (take.value && document.value)
      unsent.keep(take.value.id, { document: document.value, revision: take.value.revision })
    saveState.value = 'saving'
    if (running) return
    running = true
    try {
      while (take.value && document.value && document.value !== take.value.document) {
        const sent = document.value
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
    if (!conflict.value || !document.value) return
    history.record(document.value)
    unsent.forget(conflict.value.id)
    show(conflict.value)
  }

  /** What was made here becomes a take of its own beside the other window's. */
  async function keepMine(): Promise<Take | undefined> {
    if (!take.value || !document.value) return undefined
    const made = await createFrom(document.value)
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
        body: { document: from ?? EMPTY, name: null },
      }),
    )
  }

  return {
    take,
    document,
    shown,
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
