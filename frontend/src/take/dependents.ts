/** What points at a colour, by day and by night: to be shown before it is changed or taken out. */
import type { TakeDocument } from '@/api/types'
import { roleLabel } from './roles'

export interface Dependents {
  roles: string[]
  pairs: number
  overlays: string[]
  neutrals: string[]
}

export function dependentsOf(take: TakeDocument, owner: string): Dependents {
  const schemes = [take, ...(take.other ? [take.other] : [])]
  const roles = schemes.flatMap((one, row) =>
    one.roles
      .filter((assignment) => assignment.swatch === owner)
      .map(
        (assignment) =>
          roleLabel(one.roles, assignment.role) +
          (row > 0 ? ` by ${take.scheme === 'day' ? 'night' : 'day'}` : '') +
          (assignment.step ? ', on a step' : ''),
      ),
  )
  const pairs = schemes.reduce((count, one) => {
    const given = new Set(
      one.roles.filter((assignment) => assignment.swatch === owner).map(({ role }) => role),
    )
    const uses = (key: string) => given.has(key) || key.split('/')[0] === owner
    return count + one.pairs.filter((pair) => uses(pair.text) || uses(pair.ground)).length
  }, 0)
  return {
    roles,
    pairs,
    overlays: take.overlays.filter((one) => one.swatch === owner).map(({ name }) => name),
    neutrals: take.neutrals.filter((one) => one.tint === owner).map(({ name }) => name),
  }
}

export const isUsed = (found: Dependents) =>
  found.roles.length + found.pairs + found.overlays.length + found.neutrals.length > 0

/** Of the other scheme, overlays and tints: what keeps a swatch that has no role here. */
export function isPointedAt(take: TakeDocument, owner: string): boolean {
  return isUsed(dependentsOf(take, owner))
}
