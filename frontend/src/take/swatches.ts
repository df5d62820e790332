/** Which swatch a colour is, and what it is for. */
import type { Swatch, TakeDocument } from '@/api/types'
import { rolesAt } from './roles'

export function swatchOf(take: TakeDocument | undefined, hex: string): Swatch | undefined {
  return take?.swatches.find((swatch) => swatch.hex === hex)
}

/** The roles with their colours: the same for two takes that a person sees as one. */
export function rolesWithColors(take: TakeDocument | undefined): string {
  const hexes = new Map(take?.swatches.map((one) => [one.id, one.hex]))
  return JSON.stringify(take?.roles.map(({ role, swatch }) => [role, hexes.get(swatch)]))
}

/** The roles that the swatch itself has, not those on its steps. */
export function rolesOfSwatch(take: TakeDocument | undefined, swatchId: string): string[] {
  return take ? rolesAt(take, { swatch: swatchId, step: null }) : []
}
