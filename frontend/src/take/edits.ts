/** Changes of a take's document, each returning a new one. No colour is computed here. */
import type { FoundColor, Swatch, TakeDocument } from '@/api/types'
import { isPointedAt } from './dependents'
import { pinRole, rolesAt } from './roles'

export interface Adopted {
  source: string
  note: string
  share: number | null
}

/** A colour of a source becomes a swatch, held; where its value is there already, nothing changes. */
export function adoptColor(
  take: TakeDocument,
  color: Pick<FoundColor, 'hex' | 'name'>,
  from: Adopted,
): { document: TakeDocument; swatch: Swatch } {
  const there = swatchOf(take, color.hex)
  if (there) return { document: take, swatch: there }
  const swatch: Swatch = {
    id: freeId(take),
    name: freeName(take, color.name),
    hex: color.hex,
    held: true,
    origin: { kind: 'source', note: from.note, source: from.source, share: from.share },
    ramp: USUAL_RAMP,
  }
  return { document: { ...take, swatches: [...take.swatches, swatch] }, swatch }
}

/** A role goes to a swatch; what was only made for it and is used for nothing else goes away. */
export function giveRole(take: TakeDocument, role: string, swatchId: string): TakeDocument {
  const before = take.roles.find((assignment) => assignment.role === role)?.swatch
  const given = pinRole(take, role, { swatch: swatchId, step: null })
  const left = given.swatches.find((one) => one.id === before)
  const isLeftover =
    left &&
    left.id !== swatchId &&
    !left.held &&
    ['made', 'harmony'].includes(left.origin.kind) &&
    !isPointedAt(given, left.id)
  return isLeftover ? removeSwatch(given, left.id) : given
}

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

function freeId(take: TakeDocument): string {
  const taken = new Set(take.swatches.map((swatch) => swatch.id))
  let number = taken.size + 1
  while (taken.has(`s${number}`)) number += 1
  return `s${number}`
}

function freeName(take: TakeDocument, name: string): string {
  const taken = new Set(take.swatches.map((swatch) => swatch.name))
  if (!taken.has(name)) return name
  let number = 2
  while (taken.has(`${name} ${number}`)) number += 1
  return `${name} ${number}`
}
