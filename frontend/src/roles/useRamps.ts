import { computed, onScopeDispose, shallowRef, watch } from 'vue'
import { api, given } from '@/api/client'
import type { Row } from '@/api/types'
import { useTakeStore } from '@/take/take'

type Ramps = Awaited<ReturnType<typeof ask>>
const ask = (document: NonNullable<ReturnType<typeof useTakeStore>['shown']>) =>
  given(api.POST('/api/ramps', { body: { document } }))

/** The steps of every swatch and neutral of the take that is shown; one question at a time. */
export function useRamps() {
  const take = useTakeStore()
  const ramps = shallowRef<Ramps>()
  let running = false
  let asked = ''
  let disposed = false

  /** Who has a role changes no step. */
  const signature = () => {
    const shown = take.shown
    return JSON.stringify([
      shown?.swatches.map(({ id, name, hex, ramp }) => [id, name, hex, ramp]),
      shown?.neutrals,
      shown?.overlays,
      shown?.step_names,
      take.evaluation?.stave.ground_name,
      shown?.scheme,
      take.take?.id,
    ])
  }

  async function run() {
    if (running) return
    running = true
    try {
      while (!disposed && take.shown && asked !== signature()) {
        asked = signature()
        ramps.value = await ask(take.shown)
      }
    } catch {
      asked = '' // the next change asks again; until then the steps stay as they were
    } finally {
      running = false
    }
  }

  watch(signature, () => void run(), { immediate: true })
  onScopeDispose(() => (disposed = true))
  return {
    rows: computed<readonly Row[]>(() => ramps.value?.rows ?? []),
    overlays: computed(() => ramps.value?.overlays ?? []),
  }
}
