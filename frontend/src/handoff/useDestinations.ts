import { onMounted, ref, shallowRef } from 'vue'
import { api, explain, answerOf } from '@/api/client'
import type { Destination, Slot } from '@/api/types'

/** Destinations: those that ship, and the designer’s own, which are kept for the next site. */
export function useDestinations() {
  const destinations = shallowRef<readonly Destination[]>([])
  const removed = shallowRef<Destination>()
  const problem = ref('')

  async function attempt<T>(work: () => Promise<T>): Promise<T | undefined> {
    problem.value = ''
    try {
      return await work()
    } catch (reason) {
      problem.value = explain(reason)
      return undefined
    }
  }
  const load = () =>
    attempt(async () => {
      destinations.value = (await answerOf(api.GET('/api/destinations'))).destinations
    })
  onMounted(load)

  const copy = (from: Destination) =>
    attempt(async () => {
      const body = { name: `${from.name}, own`.slice(0, 80), slots: from.slots, revision: null }
      const made = await answerOf(api.POST('/api/destinations', { body }))
      await load()
      return made
    })

  const save = (destination: Destination, name: string, slots: readonly Slot[]) =>
    attempt(async () => {
      const params = { path: { destination_id: destination.id } }
      const body = { name, slots: [...slots], revision: destination.revision }
      await answerOf(api.PUT('/api/destinations/{destination_id}', { params, body }))
      await load()
    })

  const remove = (destination: Destination) =>
    attempt(async () => {
      const params = { path: { destination_id: destination.id } }
      await api.DELETE('/api/destinations/{destination_id}', { params })
      removed.value = destination
      await load()
    })

  const bringBack = () =>
    attempt(async () => {
      const gone = removed.value
      if (!gone) return
      const params = { path: { destination_id: gone.id } }
      await answerOf(api.POST('/api/destinations/{destination_id}/restoration', { params }))
      removed.value = undefined
      await load()
    })

  return { destinations, removed, problem, copy, save, remove, bringBack }
}
