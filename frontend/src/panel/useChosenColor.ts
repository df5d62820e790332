import { computed } from 'vue'
import { useSelection } from '@/take/useSelection'
import { targetFrom } from '@/take/roles'
import { useTakeStore } from '@/take/take'

/** The key of the swatch or step that is chosen, as long as it is in the take. */
export function useChosenColor() {
  const take = useTakeStore()
  const { selected } = useSelection('swatch')
  return computed(() => {
    const { shown } = take
    if (!shown || selected.value === undefined) return undefined
    const { swatch, step } = targetFrom(selected.value)
    const owners = step === null ? shown.swatches : [...shown.swatches, ...shown.neutrals]
    return owners.some((one) => one.id === swatch) ? selected.value : undefined
  })
}
