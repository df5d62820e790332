import { computed } from 'vue'
import { api, answerOf } from '@/api/client'
import type { Row } from '@/api/types'
import { useTakeStore } from './take'
import { useFollowing } from '@/ui/useFollowing'

/** The steps of every swatch and neutral of the take that is shown. isShared: as useFollowing has it. */
export function useRamps({ isShared }: { isShared: boolean }) {
  const take = useTakeStore()

  /** Who has a role changes no step. */
  const signature = computed(() => {
    const { shown } = take
    return JSON.stringify([
      shown?.swatches.map(({ id, name, hex, ramp }) => [id, name, hex, ramp]),
      shown?.neutrals,
      shown?.overlays,
      shown?.step_names,
      take.evaluation?.stave.ground_name,
      shown?.scheme,
      take.take?.id,
    ])
  })

  const { answer, problem, askAgain } = useFollowing(
    () => (take.shown ? signature.value : undefined),
    (_, signal) => {
      const { shown: document } = take
      if (!document) throw new Error('No take is open.')
      return answerOf(api.POST('/api/ramps', { body: { document }, signal }))
    },
    { isPaced: true, isShared },
  )
  return {
    rows: computed<readonly Row[]>(() => answer.value?.rows ?? []),
    overlays: computed(() => answer.value?.overlays ?? []),
    problem,
    askAgain,
  }
}
