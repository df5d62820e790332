import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { api, given, ProblemError } from '@/api/client'
import type { Take, TakeDocument } from '@/api/types'
import { useEvaluation } from '@/composables/useEvaluation'
import { useHistory } from '@/composables/useHistory'

export type SaveState = 'saved' | 'saving' | 'waiting' | 'conflict'
const RETRY_MS = 4000

/** The open take: its document, the steps back and forward, and its way into the database. */
export const useTakeStore = defineStore('take', () => {
  const take = shallowRef<Take>()
  const document = shallowRef<TakeDocument>()
  const saveState = ref<SaveState>('saved')
  const conflict = shallowRef<Take>()
  const history = useHistory<TakeDocument>()
  const { evaluation } = useEvaluation(document)
  let running = false
  let retry: ReturnType<typeof setTimeout> | undefined

  async function open(takeId: string) {
    await settle()
    take.value = document.value = conflict.value = undefined
    show(await given(api.GET('/api/takes/{take_id}', { params: { path: { take_id: takeId } } })))
    history.open(takeId)
  }

  function show(saved: Take) {
    take.value = saved
    document.value = saved.document
    saveState.value = 'saved'
    conflict.value = undefined
  }

  /** One step of the user's: recorded, shown at once, saved. */
  function change(next: TakeDocument) {
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
    show(conflict.value)
  }

  /** What was made here becomes a take of its own beside the other window's. */
  async function keepMine(): Promise<Take | undefined> {
    if (!take.value || !document.value) return undefined
    const made = await createFrom(document.value)
    conflict.value = undefined
    saveState.value = 'saved'
    return made
  }

  function createFrom(from: TakeDocument): Promise<Take> {
    const brandId = take.value?.brand_id ?? ''
    return given(
      api.POST('/api/brands/{brand_id}/takes', {
        params: { path: { brand_id: brandId } },
        body: { document: from, name: null },
      }),
    )
  }

  return {
    take,
    document,
    evaluation,
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
  }
})
