/** What the server would say to everybody alike, from the Python code by the build: `scripts/described.sh`. */
import type { PictureTone, Slot, TakeDocument } from './types'
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
/** What is seen of a picture, and how it is painted, until somebody says otherwise. */
export const WHOLE_PICTURE = constants.whole_picture
export const PLAIN_TONE = constants.plain_tone as PictureTone
export const MOST_ZOOM = constants.most_zoom
/** Of a tint over a picture. */
export const AMOUNTS = constants.amounts
