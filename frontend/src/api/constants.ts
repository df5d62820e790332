/** What the server would say to everybody alike, from the Python code by the build: `scripts/described.sh`. */
import type { Slot, TakeDocument } from './types'
import constants from './constants.json'

export const EMPTY_TAKE = constants.empty_take as unknown as TakeDocument
export const ROLE_NAMES: Readonly<Record<string, string>> = constants.role_names
export const ADDED_ROLES: readonly string[] = constants.added_roles
/** What a document has once for each scheme. */
export const PARTS_OF_A_SCHEME = constants.parts_of_a_scheme as (keyof NonNullable<
  TakeDocument['other']
>)[]
export const NEW_SLOT = constants.new_slot as Omit<Slot, 'name'>
/** Which files a place takes, for `accept`. */
export const ACCEPTED = constants.accepted
export const LUMA: readonly number[] = constants.luma
