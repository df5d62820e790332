import { onScopeDispose, shallowRef } from 'vue'
import { api, answerOf } from '@/api/client'
import type { Loupe } from '@/api/types'
import { createPaced } from '@/ui/asking'

export interface Place {
  x: number
  y: number
}
export type Square = 1 | 3 | 5 | 11

/** What a magnifier shows of a source's picture. One call at a time; only the newest place waits. */
export function useLoupe() {
  const loupe = shallowRef<Loupe>()
  const paced = createPaced(read)

  async function read({ source, place, square }: { source: string; place: Place; square: Square }) {
    const params = { path: { source_id: source } }
    try {
      loupe.value = await answerOf(
        api.POST('/api/sources/{source_id}/loupe', { params, body: { ...place, square } }),
      )
    } catch {
      loupe.value = undefined
    }
  }

  function look(source: string, place: Place, square: Square) {
    void paced.ask({ source, place, square })
  }

  function close() {
    paced.drop()
    loupe.value = undefined
  }

  onScopeDispose(paced.drop)
  return { loupe, look, close }
}
