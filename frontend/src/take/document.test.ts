/** Changes of a take's document: each a new one, the old one untouched. */
import { describe, expect, it } from 'vitest'
import type { TakeDocument } from '@/api/types'
import { linesOf } from '@/take/dependents'
import { rolesOfSwatch, swatchOf } from '@/take/swatches'
import * as roles from '@/take/roles'
import { isSameDocument } from '@/take/same'
import { asKept, inScheme, turned } from '@/take/scheme'
import { isCurrent, unsentInCurrentFormat } from '@/take/formats'
import { unsent } from '@/take/unsent'
import { answer, calls } from '@/testing/server'
import { pair, takeOf, assigned } from '@/testing/takes'

const NIGHT = {
  roles: [assigned('primary', 's2'), assigned('paper', 's1', 3)],
  pairs: [pair('p1', 'primary', 'paper')],
  grounds: [],
}

function unchanged<T>(take: TakeDocument, work: (take: TakeDocument) => T): T {
  const before = JSON.stringify(take)
  const result = work(take)
  expect(JSON.stringify(take)).toBe(before)
  return result
}

describe('roles', () => {
  it('knows the roles of a swatch without those of its steps', () => {
    const take = takeOf({ roles: [assigned('primary', 's1'), assigned('link', 's1', 4)] })
    expect(rolesOfSwatch(take, 's1')).toEqual(['primary'])
    expect(rolesOfSwatch(undefined, 's1')).toEqual([])
    expect([swatchOf(take, '#d7b13c')?.id, swatchOf(take, '#000000')]).toEqual(['s2', undefined])
  })

  it('of one’s own are called by their names, and can be done without', () => {
    const own = { ...assigned('own-call-out', 's1'), name: 'Call Out!' }
    expect(roles.roleLabel([own], 'own-call-out')).toBe('Call Out!')
    expect(roles.isExtra('own-call-out')).toBe(true)
    expect(roles.isExtra('primary')).toBe(false)
  })
  it('write a target as a key and read it again', () => {
    for (const target of [
      { swatch: 's1', step: null },
      { swatch: 'n1', step: 7 },
    ])
      expect(roles.targetFrom(roles.keyOf(target))).toEqual(target)
  })
  it('offer every swatch once, the steps in use, and the one that is assigned now', () => {
    const take = takeOf({ roles: [assigned('link', 's1', 4), assigned('line', 's1', 4)] })
    expect(roles.colorChoices(take, { swatch: 's2', step: 9 })).toEqual([
      { value: 's1', label: 'Night' },
      { value: 's2', label: 'Brass' },
      { value: 's3', label: 'Snow' },
      { value: 's1/4', label: 'Link’s step' },
      { value: 's2/9', label: 'Step 9 of Brass' },
    ])
  })
})

describe('what uses a colour', () => {
  it('is said in a line each', () => {
    expect(
      linesOf({
        roles: ['Primary', 'Paper by night, on a step'],
        pairs: 3,
        overlays: ['Overlay 1', 'Veil'],
        neutrals: ['Cool grey'],
        grounds: ['Dawn'],
        elements: 1,
        slots: 2,
      }),
    ).toEqual([
      'Primary',
      'Paper by night, on a step',
      'Tint of Cool grey',
      'Overlay 1',
      'Overlay Veil',
      'Background Dawn in Proof',
      '3 pairs',
      '1 element in Proof',
      '2 slots in Handoff',
    ])
  })
  it('is nothing to say where nothing does', () => {
    const nothing = { roles: [], overlays: [], neutrals: [], grounds: [] }
    expect(linesOf({ ...nothing, pairs: 0, elements: 0, slots: 0 })).toEqual([])
  })
})

describe('day and night', () => {
  it('turn into each other and back', () => {
    const take = takeOf({ other: NIGHT })
    const night = unchanged(take, turned)
    expect(night.scheme).toBe('night')
    expect(night.roles).toEqual(NIGHT.roles)
    expect(turned(night)).toEqual(take)
    expect(asKept(night)).toEqual(take)
    expect(inScheme(take, 'day')).toBe(take)
    expect(asKept(take)).toBe(take)
  })
  it('are the same where there is no night', () => {
    const take = takeOf()
    expect(turned(take)).toBe(take)
  })
})

describe('other parts of a document', () => {
  it('documents are the same in whatever order they were written', () => {
    expect(isSameDocument({ a: 1, b: [{ c: 1, d: 2 }] }, { b: [{ d: 2, c: 1 }], a: 1 })).toBe(true)
    expect(isSameDocument({ a: [1, 2] }, { a: [2, 1] })).toBe(false)
  })
  it('what is unsent is kept, and nonsense is nothing', async () => {
    const state = { document: takeOf(), revision: 4, pending: null, intents: [] }
    unsent.keep('t1', state)
    expect(await unsent.adopt('t1')).toMatchObject(state)
    unsent.forget('t1')
    expect(await unsent.adopt('t1')).toBeUndefined()
    for (const nonsense of ['{', '7', 'null', '{"document":{}}']) {
      localStorage.setItem('tonada-unsent-t1_gone', nonsense)
      expect(await unsent.adopt('t1')).toBeUndefined()
    }
  })
})

describe('what a browser kept before the server was brought up to date', () => {
  const old = { ...takeOf(), format: 1 } as unknown as TakeDocument
  const today = takeOf({ level: 'AAA' })

  it('is asked of the server in the format of today, what is on its way as well', async () => {
    answer('POST /api/documents', () => ({ document: today }))
    const pending = { document: old, revision: 3 }
    const left = { document: old, revision: 4, pending, intents: [] }
    expect(await unsentInCurrentFormat(left)).toEqual({
      document: today,
      revision: 4,
      pending: { document: today, revision: 3 },
      intents: [],
    })
    const asked = calls.filter(({ path }) => path === '/api/documents')
    expect(asked.map(({ body }) => (body as { document: unknown }).document)).toEqual([old, old])
  })
  it('is left alone where it is of today', async () => {
    const left = { document: takeOf(), revision: 4, pending: null, intents: [] }
    expect(await unsentInCurrentFormat(left)).toEqual(left)
    expect(calls).toEqual([])
    expect([isCurrent(takeOf()), isCurrent(old)]).toEqual([true, false])
  })
})
