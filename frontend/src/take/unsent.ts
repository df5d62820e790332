/** What the server doesn't have yet of a take, kept in the browser over a crash or a reload.
 *
 * Each window keeps its own under a name of its own. A window that lives holds a lock of that name,
 * so that another one only takes over what a window that is gone has left.
 */
import type { TakeChange, TakeDocument } from '@/api/types'
import type { Scheme } from './scheme'

/** A change that waits for the server, since only it knows the rules. */
export interface Intent {
  change: TakeChange
  scheme: Scheme
}

export interface Unsent {
  document: TakeDocument
  /** The revision that the document was made from. */
  revision: number
  /** A save of which nobody knows whether it arrived; it is sent again as it was. */
  pending: { document: TakeDocument; revision: number } | null
  intents: readonly Intent[]
}

const PREFIX = 'tonada-unsent-'
const LETS_GO_MS = 1500
const WINDOW = Array.from(crypto.getRandomValues(new Uint32Array(3)), (n) => n.toString(36)).join(
  '',
)
const keyOf = (takeId: string, window = WINDOW) => `${PREFIX}${takeId}_${window}`

// Missing where the page came over plain HTTP from another machine.
const locks = (globalThis.navigator as { locks?: LockManager } | undefined)?.locks
void locks?.request(`tonada-window-${WINDOW}`, () => new Promise(() => undefined))

export const unsent = {
  keep(takeId: string, state: Unsent) {
    try {
      localStorage.setItem(keyOf(takeId), JSON.stringify({ ...state, at: Date.now() }))
    } catch {
      // Full or forbidden: saving goes on, only a crash at this moment would lose the step.
    }
  },
  forget(takeId: string) {
    localStorage.removeItem(keyOf(takeId))
  },
  /** Take over what a window that is gone has left of a take, the newest first. */
  async adopt(takeId: string): Promise<Unsent | undefined> {
    const prefix = `${PREFIX}${takeId}_`
    const left = Object.keys(localStorage)
      .filter((key) => key.startsWith(prefix))
      .map((key) => ({ key, state: read(key) }))
      .sort((one, other) => (other.state?.at ?? 0) - (one.state?.at ?? 0))
    for (const { key, state } of left) {
      if (!state || !(await isGone(key.slice(prefix.length)))) continue
      this.keep(takeId, state)
      if (key !== keyOf(takeId)) localStorage.removeItem(key)
      return state
    }
    return undefined
  },
}

/** Whether nobody holds the lock of a window; one that is just being closed lets go of it in a moment. */
async function isGone(window: string): Promise<boolean> {
  if (window === WINDOW || !locks) return true
  try {
    const options = { signal: AbortSignal.timeout(LETS_GO_MS) }
    await locks.request(`tonada-window-${window}`, options, () => undefined)
    return true
  } catch {
    return false
  }
}

function read(key: string): (Unsent & { at?: number }) | undefined {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(key) ?? 'null')
    return isUnsent(kept)
      ? { ...kept, pending: kept.pending ?? null, intents: kept.intents ?? [] }
      : undefined
  } catch {
    return undefined
  }
}

const isUnsent = (kept: unknown): kept is Partial<Unsent> & Pick<Unsent, 'document' | 'revision'> =>
  typeof kept === 'object' && kept !== null && 'document' in kept && 'revision' in kept
