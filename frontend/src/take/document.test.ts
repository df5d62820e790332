/** Changes of a take's document: each a new one, the old one untouched. */
import { describe, expect, it } from 'vitest'
import type { TakeDocument } from '@/api/types'
import { dependentsOf, isPointedAt } from '@/take/dependents'
import { removeSwatch, rolesOfSwatch } from '@/take/edits'
import { addPair, changePair, removePair } from '@/pairs/edits'
import {
  addGround,
  forgetGround,
  removeGround,
  setSize,
  standOn,
  usualGrounds,
  setUse,
} from '@/proof/settings'
import * as roles from '@/take/roles'
import { isSameDocument } from '@/take/same'
import { asKept, inScheme, turned } from '@/take/scheme'
import { fillSlot } from '@/handoff/slots'
import { unsent } from '@/take/unsent'
import { pair, swatch, takeOf, assigned } from '@/testing/takes'

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
  })

  it('of one’s own are called by their names, and can be done without', () => {
    const own = { ...assigned('own-call-out', 's1'), name: 'Call Out!' }
    expect(roles.roleLabel([own], 'own-call-out')).toBe('Call Out!')
    expect(roles.isExtra('own-call-out')).toBe(true)
    expect(roles.isExtra('primary')).toBe(false)
  })
  it('share what is planned for a colour', () => {
    const planned = roles.planShares(takeOf(), [{ roles: ['primary', 'accent'], share: 0.4 }])
    expect(planned.roles.map(({ share }) => share)).toEqual([0.2, 0.2, null])
    expect(roles.forgetShares(planned).roles.every(({ share }) => share === null)).toBe(true)
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

describe('what points at a colour', () => {
  it('is found by day and by night', () => {
    const take = takeOf({
      other: NIGHT,
      overlays: [{ id: 'o1', name: 'Veil', swatch: 's1', step: null, alpha: 0.5 }],
      pairs: [pair('p1', 'primary', 'paper'), pair('p2', 's1/3', '#ffffff')],
    })
    expect(dependentsOf(take, 's1')).toEqual({
      roles: ['Primary', 'Paper by night, on a step'],
      pairs: 3,
      overlays: ['Veil'],
      neutrals: [],
    })
  })
  it('is nothing for a swatch that has no part', () => {
    const take = takeOf({ swatches: [...takeOf().swatches, swatch('s9', 'Spare', '#777777')] })
    expect(isPointedAt(take, 's9')).toBe(false)
    expect(removeSwatch(take, 's9')).toEqual(takeOf())
  })
})

describe('pairs', () => {
  it('are added with a free id, changed and taken out', () => {
    const { id: _, ...rest } = pair('', 's1', 's2')
    const two = addPair(addPair(takeOf(), rest), rest)
    expect(two.pairs.map(({ id }) => id)).toEqual(['p1', 'added-1', 'added-2'])
    const changed = changePair(two, 'added-1', { size: 30 })
    expect(changed.pairs.map(({ size }) => size)).toEqual([null, 30, null])
    expect(addPair(removePair(changed, 'added-1'), rest).pairs.at(-1)?.id).toBe('added-1')
  })
})

describe('grounds', () => {
  it('keep only what departs from the rule', () => {
    const take = takeOf()
    const assigned = unchanged(take, () => setUse(take, 'paper', 'link', 's2'))
    expect(assigned.grounds).toEqual([
      { id: 'paper', name: null, ground: null, uses: [{ element: 'link', key: 's2' }] },
    ])
    expect(setUse(assigned, 'paper', 'link', 's1').grounds[0]?.uses).toHaveLength(1)
    expect(setUse(assigned, 'paper', 'link', null)).toEqual(take)
    expect(forgetGround(assigned, 'paper')).toEqual(take)
    expect(forgetGround(take, 'mist')).toBe(take)
  })
  it('of one’s own take their sections with them when they go', () => {
    const mine = addGround(takeOf(), 'Dawn', 's2')
    const id = mine.grounds[0]?.id ?? ''
    const stood = standOn(mine, 'home', { opening: id, footer: 'deep' })
    const again = standOn(stood, 'home', { opening: 'mist' })
    expect(again.proof.sections).toHaveLength(2)
    expect(removeGround(stood, id).proof.sections).toEqual([
      { page: 'home', section: 'footer', ground: 'deep' },
    ])
    expect(usualGrounds(stood, 'home').proof.sections).toEqual([])
    expect(usualGrounds(stood, 'mail').proof.sections).toHaveLength(2)
  })
  it('sizes are said once for each style', () => {
    const sized = setSize(setSize(takeOf(), 'h1', 40, 700), 'h1', 44, 600)
    expect(sized.proof.sizes).toEqual([{ style: 'h1', size: 44, weight: 600 }])
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
  })
  it('are the same where there is no night', () => {
    const take = takeOf()
    expect(turned(take)).toBe(take)
  })
})

describe('other parts of a document', () => {
  it('slots are filled by hand and given back', () => {
    const filled = fillSlot(fillSlot(takeOf(), 'd1', 'text', 's1'), 'd1', 'text', 's2')
    expect(filled.slots).toEqual([{ destination: 'd1', slot: 'text', key: 's2' }])
    expect(fillSlot(filled, 'd1', 'text', null).slots).toEqual([])
  })
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
