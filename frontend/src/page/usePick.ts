/** A part of the page that was pointed out: what stands behind it is chosen in the view. */
import { useSelection } from '@/take/useSelection'
import { targetFrom, targetOf } from '@/take/roles'
import { useTakeStore } from '@/take/take'
import type { PickedPart } from './PageStage.vue'

export function usePick() {
  const take = useTakeStore()
  const { select: selectSwatch } = useSelection('swatch')
  const { select: selectRole } = useSelection('role')
  const { select: selectPair } = useSelection('pair')

  function pickSwatch({ key }: PickedPart) {
    const { shown } = take
    if (!shown) return
    const target = targetOf(shown, key) ?? targetFrom(key)
    const isThere = [...shown.swatches, ...shown.neutrals].some((one) => one.id === target.swatch)
    if (!isThere) return
    selectSwatch(
      target.step === null ? target.swatch : `${target.swatch}/${target.step.toString()}`,
    )
  }

  function pickRole(part: PickedPart) {
    if (take.shown?.roles.some((one) => one.role === part.key)) selectRole(part.key)
    else pickSwatch(part)
  }

  /** The pair that the part makes with its ground; where there is none of its own, its colour. */
  function pickPair(part: PickedPart) {
    const pairs = take.evaluation?.pairs ?? []
    const pair = pairs.find((one) => one.text === part.key && one.ground === part.groundKey)
    if (pair) selectPair(pair.id)
    else pickSwatch(part)
  }

  return { pickSwatch, pickRole, pickPair }
}
