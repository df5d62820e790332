/** The newest state of a take until the server has it, kept in the browser over a crash or a reload. */
import type { TakeDocument } from '@/api/types'

interface Unsent {
  document: TakeDocument
  revision: number
}

const keyOf = (takeId: string) => `tonada-unsent-${takeId}`

export const unsent = {
  keep(takeId: string, state: Unsent) {
    try {
      localStorage.setItem(keyOf(takeId), JSON.stringify(state))
    } catch {
      // Full or forbidden: saving goes on, only a crash at this moment would lose the step.
    }
  },
  forget(takeId: string) {
    localStorage.removeItem(keyOf(takeId))
  },
  read(takeId: string): Unsent | undefined {
    try {
      const kept: unknown = JSON.parse(localStorage.getItem(keyOf(takeId)) ?? 'null')
      return isUnsent(kept) ? kept : undefined
    } catch {
      return undefined
    }
  },
}

const isUnsent = (kept: unknown): kept is Unsent =>
  typeof kept === 'object' && kept !== null && 'document' in kept && 'revision' in kept
