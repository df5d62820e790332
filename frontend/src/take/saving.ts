/** The way of one take's changes into the database.
 *
 * It belongs to that take from the first to the last: id, document and revision of a save never come
 * from what happens to be open. A save of which nobody knows whether it arrived is sent again as it was,
 * until the server has said so; the server takes the same document twice without complaint.
 */
import { ref, shallowRef } from 'vue'
import { api, explain, answerOf, isUnreachable, ProblemError } from '@/api/client'
import type { Take, TakeDocument } from '@/api/types'
import { isSameDocument } from './same'
import { unsent } from './unsent'
import type { Intent, Unsent } from './unsent'

export type SaveState = 'saved' | 'saving' | 'waiting' | 'conflict' | 'removed' | 'refused'
const RETRY_MS = 4000

export type Saving = ReturnType<typeof createSaving>

export function createSaving(opened: Take) {
  const { id } = opened
  /** What the server has, as far as is known, with the revision of it. */
  const take = shallowRef(opened)
  const state = ref<SaveState>('saved')
  const problem = ref('')
  const conflict = shallowRef<Take>()
  const intents = shallowRef<readonly Intent[]>([])
  let wanted = opened.document
  let stored = opened.document
  let revision = opened.revision
  let pending: Unsent['pending'] = null
  let running: Promise<void> | undefined
  let retry: ReturnType<typeof setTimeout> | undefined

  const isUnsaved = () => pending !== null || wanted !== stored || intents.value.length > 0

  /** A newer document, which is sent as soon as the one before it has arrived. */
  function keep(document: TakeDocument) {
    wanted = document
    note()
    if (state.value !== 'conflict' && state.value !== 'removed') send()
  }

  /** Send what there is to send; one save at a time. */
  function send() {
    clearTimeout(retry)
    state.value = isUnsaved() ? 'saving' : 'saved'
    if (!isUnsaved()) return
    running ??= run()
  }

  async function run() {
    // Never done before it is known to be running, and known to be done as soon as it is.
    await Promise.resolve()
    try {
      while (pending || wanted !== stored) {
        pending ??= { document: wanted, revision }
        note()
        await put(pending)
      }
      state.value = intents.value.length ? 'waiting' : 'saved'
      note()
    } catch (reason) {
      refuse(reason)
    } finally {
      running = undefined
    }
  }

  async function put(sent: NonNullable<Unsent['pending']>) {
    const path = { take_id: id }
    const saved = await answerOf(api.PUT('/api/takes/{take_id}', { params: { path }, body: sent }))
    pending = null
    stored = sent.document
    revision = saved.revision
    take.value = { ...saved, document: stored }
  }

  function refuse(reason: unknown) {
    if (isUnreachable(reason)) {
      state.value = 'waiting'
      retry = setTimeout(send, RETRY_MS)
      return
    }
    pending = null
    problem.value = explain(reason)
    const { take: theirs, status } = reason instanceof ProblemError ? reason.problem : {}
    conflict.value = theirs ?? undefined
    state.value = theirs ? 'conflict' : status === 410 ? 'removed' : 'refused'
    note()
  }

  /** Until nothing is on its way; what could not be saved then waits. */
  const settled = () => running ?? Promise.resolve()

  function note() {
    if (isUnsaved())
      unsent.keep(id, { document: wanted, revision, pending, intents: intents.value })
    else unsent.forget(id)
  }

  /** Go on with what a window that is gone has left. */
  function resume(left: Unsent) {
    revision = left.revision
    pending = left.pending
    // What is on its way already is not sent a second time.
    wanted =
      pending && isSameDocument(pending.document, left.document) ? pending.document : left.document
    intents.value = left.intents
    if (state.value === 'saved') send()
  }

  /** The take is open again: what was given up meanwhile may go through now. */
  function goOn() {
    if (state.value === 'removed' || state.value === 'waiting') send()
  }

  /** Changes that wait for the server; an empty list where they are made or given up. */
  function postpone(waiting: readonly Intent[]) {
    intents.value = waiting
    if (state.value === 'saved' && waiting.length) state.value = 'waiting'
    else if (state.value === 'waiting' && !isUnsaved()) state.value = 'saved'
    note()
  }

  /** The take was deleted in another window: bring it back, and send again what was refused. */
  async function restore() {
    await answerOf(
      api.POST('/api/takes/{take_id}/restoration', { params: { path: { take_id: id } } }),
    )
    state.value = 'saved'
    problem.value = ''
    send()
  }

  /** Nothing more is sent: what was here became a take of its own, or was given up. */
  function forget() {
    clearTimeout(retry)
    pending = null
    wanted = stored
    intents.value = []
    conflict.value = undefined
    state.value = 'saved'
    unsent.forget(id)
  }

  return {
    id,
    take,
    state,
    problem,
    conflict,
    intents,
    newest: () => wanted,
    isUnsaved,
    keep,
    send,
    settled,
    resume,
    goOn,
    postpone,
    restore,
    forget,
  }
}
