/** What is said of each colour of an old site beside its name. */
import type { ColorDetail } from './colorDetail'
import type { StylesheetReading } from '@/api/types'

const PURPOSES = ['text', 'ground', 'border', 'other'] as const
const MOST_SHOWN = 12

export function stylesheetDetails(
  sheet: StylesheetReading | null | undefined,
): Record<string, ColorDetail> {
  const details: Record<string, ColorDetail> = {}
  for (const group of sheet?.groups ?? []) {
    const members = group.members.flatMap((row) => sheet?.uses[row] ?? [])
    const uses = PURPOSES.map((purpose) => ({
      purpose,
      count: members.reduce((sum, use) => sum + use[purpose], 0),
    })).filter(({ count }) => count)
    details[group.hex] = {
      alike: members.slice(1, MOST_SHOWN + 1).map((use) => use.hex),
      uses: uses.map(({ purpose, count }) => `${purpose} ${count}`).join(', '),
    }
  }
  return details
}
