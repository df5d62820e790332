/** What came of a pair, in words. */
import type { PairFigures } from '@/api/types'
import { formatShort } from '@/ui/format'

export function verdictText(pair: PairFigures): string {
  return {
    passes: `Passes ${pair.verdict}`,
    fails: `Short by ${formatShort(pair.short_by)}`,
    exempt: 'Exempt',
    unknown: 'Unknown',
  }[pair.outcome]
}
