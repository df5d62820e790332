import { describe, expect, it } from 'vitest'
import { keepEqual } from './keepEqual'

const before = {
  swatches: [
    { id: 'a', hex: '#123456' },
    { id: 'b', hex: '#abcdef' },
  ],
  stave: { hue: 20, lines: [3, 4.5, 7] },
  said: null,
}
const copyOf = <Value>(value: Value): Value => JSON.parse(JSON.stringify(value)) as Value

describe('keepEqual', () => {
  it('is the one before where nothing changed', () => {
    expect(keepEqual(before, copyOf(before))).toBe(before)
  })

  it('keeps what is equal, and takes what is not', () => {
    const after = copyOf(before)
    after.swatches.splice(1, 1, { id: 'b', hex: '#abcdee' })
    const kept = keepEqual(before, after)
    expect(kept).toEqual(after)
    expect(kept).not.toBe(before)
    expect(kept.swatches).not.toBe(before.swatches)
    expect(kept.swatches[0]).toBe(before.swatches[0])
    expect(kept.stave).toBe(before.stave)
  })

  it.each([
    ['a list that grew', [1], [1, 2]],
    ['a list that shrank', [1, 2], [1]],
    ['a field that came', { a: 1 }, { a: 1, b: 2 }],
    ['a field that went', { a: 1, b: 2 }, { a: 1 }],
    ['a field that went for another', { a: undefined }, { b: undefined }],
    ['a list in place of fields', { 0: 'a' }, ['a']],
    ['nothing in place of fields', { a: 1 }, null],
    ['fields in place of nothing', undefined, { a: 1 }],
    ['text in place of a number', 1, '1'],
  ])('never keeps %s', (_, old, next) => {
    const kept = keepEqual<unknown>(old, next)
    expect(kept).toStrictEqual(next)
    expect(kept).not.toBe(old)
  })

  it('changes neither', () => {
    const [old, after] = [copyOf(before), copyOf(before)]
    after.stave.lines.push(21)
    keepEqual(old, after)
    expect(old).toEqual(before)
    expect(after.stave.lines).toEqual([3, 4.5, 7, 21])
  })
})
