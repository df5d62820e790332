/** Asking for palettes: one question at a time, the newest counts, and pages follow each other. */
import { beforeEach, expect, it } from 'vitest'
import { effectScope } from 'vue'
import type { FoundPalettes, PaletteQuestion } from '@/api/types'
import { answer, calls, later, Refusal, settled } from '@/testing/server'
import { useFinding } from '@/ready/useFinding'

const asked = () => calls.map((call) => call.body as PaletteQuestion)
const found = (ids: string[], count = ids.length) =>
  ({
    found: count,
    all: 480,
    start: 0,
    palettes: ids.map((id) => ({ id, name: id })),
    notes: [],
    unproven: 0,
  }) as unknown as FoundPalettes

function finding(held: string[] = []) {
  const made = effectScope().run(() => useFinding(() => held))
  if (!made) throw new Error('no scope')
  return made
}

beforeEach(() => {
  finding().askNothing()
})

it('asks one thing at a time, and of those that wait only the newest', async () => {
  const first = later<FoundPalettes>()
  answer('POST /api/palettes/search', (call) =>
    (call.body as PaletteQuestion).words ? found(['teal']) : first.promise,
  )
  const { wanted, find, palettes } = finding()
  const all = find()
  await settled()
  for (const words of ['t', 'te', 'teal']) {
    wanted.words = words
    void find()
  }
  await settled()
  expect(asked().map((one) => one.words)).toEqual([''])
  first.release(found(['any']))
  await all
  await settled()
  expect(asked().map((one) => one.words)).toEqual(['', 'teal'])
  expect(palettes.value?.map((one) => one.id)).toEqual(['teal'])
})

it('adds the next page, and asks for none where there is none', async () => {
  answer('POST /api/palettes/search', (call) =>
    (call.body as PaletteQuestion).start ? found(['c'], 3) : found(['a', 'b'], 3),
  )
  const { find, more, hasMore, palettes } = finding()
  await find()
  expect(hasMore.value).toBe(true)
  await more()
  expect(palettes.value?.map((one) => one.id)).toEqual(['a', 'b', 'c'])
  const before = calls.length
  await more()
  expect([hasMore.value, calls.length]).toEqual([false, before])
})

it('asks with the held colours only where that is wanted, each once and at most twelve', async () => {
  answer('POST /api/palettes/search', () => found([]))
  const many = Array.from({ length: 15 }, (_, row) => `#0000${(row + 16).toString(16)}`)
  const { wanted, find } = finding(['#112233', '#112233', ...many])
  await find()
  wanted.withHeld = true
  await find()
  expect(asked().map((one) => one.held?.length)).toEqual([0, 12])
})

it('lets go of a palette to be like that is not there any more', async () => {
  answer('POST /api/palettes/search', () => {
    return new Refusal({ status: 422, detail: 'It isn’t there.', field: 'like' })
  })
  const { wanted, find, isAsked } = finding()
  wanted.like = { id: 'gone', name: 'Gone' }
  expect(isAsked.value).toBe(true)
  await find()
  expect([wanted.like, isAsked.value]).toEqual([undefined, false])
})

it('puts a palette that changed in the place of what it was', async () => {
  answer('POST /api/palettes/search', () => found(['a', 'b']))
  const { find, replace, palettes } = finding()
  await find()
  const [, second] = palettes.value ?? []
  if (second) replace({ ...second, name: 'Renamed' })
  expect(palettes.value?.map((one) => one.name)).toEqual(['a', 'Renamed'])
})
