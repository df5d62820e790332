/** Changes of a take's document, each returning a new one. No colour is computed here. */
import type { FoundColor, Role, Swatch, TakeDocument } from '@/api/types'

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
  }
  return { document: { ...take, swatches: [...take.swatches, swatch] }, swatch }
}

/** A role goes to a swatch; what was only made for it and has no other role goes away. */
export function giveRole(take: TakeDocument, role: Role, swatchId: string): TakeDocument {
  const before = take.roles.find((assignment) => assignment.role === role)?.swatch
  const roles = take.roles.map((assignment) =>
    assignment.role === role ? { ...assignment, swatch: swatchId, reason: CHOSEN } : assignment,
  )
  if (before === undefined) roles.push({ role, swatch: swatchId, reason: CHOSEN })
  const swatches = take.swatches.filter(
    (swatch) =>
      swatch.id !== before || swatch.id === swatchId || !isLeftover(swatch, rolesOf(roles, before)),
  )
  return { ...take, roles, swatches }
}

/** A swatch without a role is taken out. */
export function removeSwatch(take: TakeDocument, swatchId: string): TakeDocument {
  return { ...take, swatches: take.swatches.filter((swatch) => swatch.id !== swatchId) }
}

export function swatchOf(take: TakeDocument | undefined, hex: string): Swatch | undefined {
  return take?.swatches.find((swatch) => swatch.hex === hex)
}

export function rolesOfSwatch(take: TakeDocument | undefined, swatchId: string): Role[] {
  return rolesOf(take?.roles ?? [], swatchId)
}

const CHOSEN = 'Chosen by you.'

const rolesOf = (roles: TakeDocument['roles'], swatchId: string | undefined) =>
  roles.filter((assignment) => assignment.swatch === swatchId).map(({ role }) => role)

const isLeftover = (swatch: Swatch, roles: Role[]) =>
  !swatch.held && !roles.length && ['made', 'harmony'].includes(swatch.origin.kind)

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
