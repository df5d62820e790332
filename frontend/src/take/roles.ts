/** Who has which role, and changes of it. A target is a swatch, or a step of a swatch or neutral. */
import { ADDED_ROLES, ROLE_NAMES } from '@/api/constants'
import type { Assignment, Role, TakeChange, TakeDocument } from '@/api/types'

export interface Target {
  swatch: string
  step: number | null
}

/** A role that Tonada knows: not one of the designer's own. */
export const isKnown = (role: string): role is Role => role in ROLE_NAMES

/** A role that a take can be without. */
export const isExtra = (role: string) => !isKnown(role) || ADDED_ROLES.includes(role)

/** “accent-2” as “Accent 2”; one of the designer's own by its name in the take. */
export function roleLabel(roles: readonly Assignment[], role: string): string {
  const ofText = roleAsText(role)
  if (ofText !== undefined) return `${roleLabel(roles, ofText)} as text`
  return ROLE_NAMES[role] ?? roles.find((one) => one.role === role)?.name ?? role
}

/** What a role that Tonada knows is called. */
export const roleName = (role: string) => ROLE_NAMES[role] ?? role

export const roleLabels = (roles: readonly Assignment[], keys: readonly string[]) =>
  keys.map((role) => roleLabel(roles, role)).join(', ')

const AS_TEXT = '/text'

/** The key of a role’s colour as text or line. */
export const textKey = (role: string) => `${role}${AS_TEXT}`

/** The role whose colour as text a key names. */
export const roleAsText = (key: string) =>
  key.endsWith(AS_TEXT) ? key.slice(0, -AS_TEXT.length) : undefined

export const rolesAt = (take: TakeDocument, target: Target) =>
  take.roles
    .filter((one) => one.swatch === target.swatch && one.step === target.step)
    .map(({ role }) => role)

export const targetOf = (take: TakeDocument, role: string): Target | undefined => {
  const ofText = roleAsText(role)
  const one = take.roles.find((assignment) => assignment.role === (ofText ?? role))
  return (
    one && { swatch: one.swatch, step: (ofText === undefined ? null : one.text_step) ?? one.step }
  )
}

/** A role, or what it is as text, given to a colour. A text is a step of its role’s own ramp. */
export function giving(take: TakeDocument, role: string, target: Target): TakeChange | undefined {
  const ofText = roleAsText(role)
  if (ofText === undefined) return { kind: 'give', role, ...target }
  return targetOf(take, ofText)?.swatch === target.swatch
    ? { kind: 'text color', role: ofText, step: target.step }
    : undefined
}

export const isSame = (one: Target | undefined, other: Target | undefined) =>
  one?.swatch === other?.swatch && one?.step === other?.step

/** `id` or `id/step`, as the measure and the address have it. */
export const keyOf = ({ swatch, step }: Target) =>
  step === null ? swatch : `${swatch}/${step.toString()}`

export function targetFrom(key: string): Target {
  const [swatch = '', step] = key.split('/')
  return { swatch, step: step ? Number(step) : null }
}

/** What a list of colours offers: every swatch, the neutrals' middles, and the step that is in use. */
export function colorChoices(take: TakeDocument, now?: Target): { value: string; label: string }[] {
  const offered = [
    ...take.swatches.map((one) => ({ value: one.id, label: one.name })),
    ...take.roles
      .filter((one) => one.step !== null)
      .map((one) => ({
        value: keyOf(one),
        label: `${roleLabel(take.roles, one.role)}’s step`,
      })),
  ]
  const used = now && keyOf(now)
  if (used && !offered.some((one) => one.value === used))
    offered.push({
      value: used,
      label: `Step ${(now.step ?? 0).toString()} of ${ownerName(take, now.swatch)}`,
    })
  const seen = new Set<string>()
  return offered.filter((one) => !seen.has(one.value) && seen.add(one.value))
}

export const ownerName = (take: TakeDocument, owner: string) =>
  [...take.swatches, ...take.neutrals].find((one) => one.id === owner)?.name ?? owner
