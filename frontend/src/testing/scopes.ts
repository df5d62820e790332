/** A scope for composables, as a component would be one; the newest one can be ended. */
import { effectScope } from 'vue'
import type { EffectScope } from 'vue'

let newest: EffectScope | undefined

export function inScope<T>(work: () => T): T {
  newest = effectScope()
  const result = newest.run(work)
  if (result === undefined) throw new Error('the scope has ended')
  return result
}

export function endScope() {
  newest?.stop()
}
