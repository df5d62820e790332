/** Pictures of the brand on the pages: the main one, and those in places of their own. */
import type { PictureView, ProofFigures, ProofSettings } from '@/api/types'

export interface ShownPicture {
  address: string
  view: PictureView
  tone: ProofFigures['tone']
}
/** By page and part, see `placeKey`. */
export type PlacedPictures = Readonly<Record<string, ShownPicture>>

export const placeKey = (page: string, part: string) => `${page}/${part}`

/** The main picture as the pages show it. */
export function mainPicture(
  settings: ProofSettings,
  figures: ProofFigures,
  address: string | undefined,
): ShownPicture | undefined {
  return address ? { address, view: settings.picture_view, tone: figures.tone } : undefined
}

/** Those whose source is there. */
export function placedPictures(
  settings: ProofSettings,
  figures: ProofFigures,
  addressOf: (source: string) => string | undefined,
): PlacedPictures {
  const tones = Object.fromEntries(
    figures.pictures.map((one) => [placeKey(one.page, one.part), one.tone]),
  )
  return Object.fromEntries(
    settings.pictures.flatMap(({ page, part, source, view }) => {
      const [key, address] = [placeKey(page, part), addressOf(source)]
      return address ? [[key, { address, view, tone: tones[key] ?? null }] as const] : []
    }),
  )
}

type Placed = ProofSettings['pictures'][number]

/** The pictures of a take with another one in a place; with none there, it is as the page has it. */
export function placing(
  pictures: readonly Placed[],
  { page, part }: Pick<Placed, 'page' | 'part'>,
  placed: Placed | undefined,
): Placed[] {
  const row = pictures.findIndex((one) => one.page === page && one.part === part)
  if (row < 0) return placed ? [...pictures, placed] : [...pictures]
  return pictures.flatMap((one, at) => (at === row ? (placed ?? []) : one))
}
