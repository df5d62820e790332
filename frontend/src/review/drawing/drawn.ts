/**
 * What a review keeps of a page, and the way in which it is asked to be drawn. Both are kept with every
 * review, with the script itself: a later Tonada draws an earlier review by what was kept with it. See
 * docs/decisions/0028-a-review-keeps-what-draws-it.md.
 */
import type { ProofFigures, ProofSettings } from '@/api/types'
import type { PageFont } from '@/proof/pageFonts'

export interface Drawn {
  page: string
  brand: string
  settings: ProofSettings
  figures: ProofFigures
  /** Addresses of pictures; they may be data addresses. */
  logo: string | undefined
  picture: string | undefined
  /** Those in places of pages, by source. */
  pictures?: Readonly<Record<string, string>>
  letters?: readonly { family: string; weight: number; source: string }[]
  /** The brand’s own. */
  fonts?: readonly PageFont[]
}

declare global {
  interface Window {
    /** In the frame of a page only. */
    tonadaPages?: Drawing
  }
}

export interface Drawing {
  version: 1
  draw: (drawn: Drawn) => void
}
