/** Documents for the tests. */
import type { Assignment, Evaluation, Swatch, Take, TakeDocument } from '@/api/types'
import { EMPTY_TAKE } from '@/api/constants'

export const swatch = (
  id: string,
  name: string,
  hex: string,
  changes: Partial<Swatch> = {},
): Swatch => ({
  id,
  name,
  hex,
  held: false,
  origin: { kind: 'typed', note: '', source: null, share: null },
  ramp: { kind: 'even', steps: 11, tints: 10, shades: 10 },
  ...changes,
})

export const assigned = (role: string, on: string, step: number | null = null): Assignment => ({
  role,
  swatch: on,
  step,
  reason: 'By rule.',
  share: null,
  name: null,
  text_step: null,
})

/** Night, Brass and Snow: three roles, one pair. */
export function takeOf(changes: Partial<TakeDocument> = {}): TakeDocument {
  return {
    ...EMPTY_TAKE,
    swatches: [
      swatch('s1', 'Night', '#2b3a8c', { held: true }),
      swatch('s2', 'Brass', '#d7b13c'),
      swatch('s3', 'Snow', '#f9fafd'),
    ],
    roles: [assigned('primary', 's1'), assigned('accent', 's2'), assigned('paper', 's3')],
    pairs: [pair('p1', 'primary', 'paper')],
    ...changes,
  }
}

export const pair = (id: string, text: string, ground: string) => ({
  id,
  text,
  ground,
  usage: 'body text' as const,
  sample: 'A text',
  layers: [],
  size: null,
  weight: null,
})

export const saved = (document: TakeDocument, revision: number): Take => ({
  id: 't1',
  brand_id: 'b1',
  name: 'Take 1',
  revision,
  saved_at: '2026-01-01T00:00:00Z',
  document,
})

/** Figures that say which document they are of, by its first swatch. */
export const figuresOf = (document: TakeDocument) =>
  ({
    swatches: [],
    measure: [],
    pairs: [],
    counts: { passes: 0, fails: document.swatches.length, exempt: 0, unknown: 0, judged: 0 },
  }) as unknown as Evaluation
