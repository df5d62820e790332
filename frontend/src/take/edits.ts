/** Changes of a take's document, each returning a new one. No colour is computed here. */
import type { Swatch, TakeDocument } from '@/api/types'
import { rolesAt } from './roles'

/** A swatch without a role is taken out. */
export function removeSwatch(take: TakeDocument, swatchId: string): TakeDocument {
  return { ...take, swatches: take.swatches.filter((swatch) => swatch.id !== swatchId) }
}

export function swatchOf(take: TakeDocument | undefined, hex: string): Swatch | undefined {
  return take?.swatches.find((swatch) => swatch.hex === hex)
}

/** The roles that the swatch itself has, not those on its steps. */
export function rolesOfSwatch(take: TakeDocument | undefined, swatchId: string): string[] {
  return take ? rolesAt(take, { swatch: swatchId, step: null }) : []
}

/** How a ramp is made until the designer wants another. */
export const USUAL_RAMP = { kind: 'even', steps: 11, tints: 10, shades: 10 } as const
