import { onScopeDispose, shallowRef } from 'vue'
import { api, given } from '@/api/client'
import type { Loupe } from '@/api/types'

export interface Place {
  x: number
  y: number
}
export type Square = 1 | 3 | 5 | 11

/** What a magnifier shows of a source's picture. One call at a time; only the newest place waits. */
export function useLoupe() {
  const loupe = shallowRef<Loupe>()
  let waiting: { source: string; place: Place; square: Square } | undefined
  let running = false
  let disposed = false

  function look(source: string, place: Place, square: Square) {
    waiting = { source, place, square }
    if (!running) void run()
  }

  async function run() {
    running = true
    while (waiting && !disposed) {
      const { source, place, square } = waiting
      waiting = undefined
      try {
        loupe.value = await given(
          api.POST('/api/sources/{source_id}/loupe', {
            params: { path: { source_id: source } },
            body: { ...place, square },
          }),
        )
      } catch {
        loupe.value = undefined
      }
    }
    running = false
  }

  function close() {
    waiting = loupe.value = undefined
  }

  onScopeDispose(() => (disposed = true))
  return { loupe, look, close }
}
