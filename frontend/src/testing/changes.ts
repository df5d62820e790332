/** An open take, a server that makes changes, and what it was asked for. */
import { createPinia, setActivePinia } from 'pinia'
import type { TakeChange, TakeDocument } from '@/api/types'
import { useTakeStore } from '@/take/take'
import { answer, calls, settled } from './server'
import { figuresOf, saved, swatch, takeOf } from './takes'

export const named = (name: string): TakeDocument =>
  takeOf({ swatches: [swatch('s1', name, '#2b3a8c')] })
export const change = (chroma: number): TakeChange => ({
  kind: 'place',
  swatch: 's1',
  chroma,
  hue: 0,
  lightness: null,
  position: null,
  settle: false,
})
export const askedChroma = (body: unknown) => (body as { change: { chroma: number } }).change.chroma
export const changesAsked = () => calls.filter(({ path }) => path === '/api/changes')

/** The take, and a server that gives its swatch the name of the chroma that was asked for. */
export async function openTake() {
  setActivePinia(createPinia())
  answer('GET /api/takes/t1', () => saved(takeOf(), 1))
  answer('POST /api/evaluate', (call) =>
    figuresOf((call.body as { document: TakeDocument }).document),
  )
  answer('PUT /api/takes/t1', (call) =>
    saved((call.body as { document: TakeDocument }).document, 2),
  )
  answer('POST /api/changes', ({ body }) => {
    const document = named(`chroma ${askedChroma(body).toString()}`)
    return {
      document,
      said: [`to ${askedChroma(body).toString()}`],
      evaluation: figuresOf(document),
    }
  })
  await useTakeStore().open('t1')
  await settled()
}

/** The change as it was asked for, applied to whatever document came with it. */
export const answerBySwatch = () => {
  answer('POST /api/changes', ({ body }) => {
    const { document } = body as { document: TakeDocument }
    const made = { ...document, level: 'AAA' as const }
    return { document: made, said: [], evaluation: figuresOf(made) }
  })
}
