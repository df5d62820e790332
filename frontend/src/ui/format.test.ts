/** How figures are written: never better than they are. */
import { expect, it } from 'vitest'
import type { PairFigures } from '@/api/types'
import {
  countOf,
  formatDifference,
  formatNeeded,
  formatRatio,
  formatShare,
  formatShort,
} from '@/ui/format'
import { verdictText } from '@/take/verdict'

it.each([
  [4.499, '4.49'],
  [4.5, '4.50'],
  [21, '21.00'],
  [2.9999, '2.99'],
  [1, '1.00'],
  [4.4996, '4.49'],
  [4.499999999999999, '4.49'],
  // Times a hundred these lie just under the whole number.
  [4.35, '4.35'],
  [1.15, '1.15'],
  [2.3, '2.30'],
])('a ratio of %d is %s', (ratio, text) => {
  expect(formatRatio(ratio)).toBe(text)
})
it.each([
  [0.001, '0.01'],
  [0, '0.00'],
  [1.5, '1.50'],
  [1.1, '1.10'],
  [0.0004, '0.01'],
  [0.07, '0.07'],
])('what is missing, %d, is %s', (missing, text) => {
  expect(formatShort(missing)).toBe(text)
})
it.each([
  [0, '0%'],
  [0.004, '< 1%'],
  [0.01, '1%'],
  [0.625, '63%'],
  [1, '100%'],
])('a share of %d is %s', (share, text) => {
  expect(formatShare(share)).toBe(text)
})
it('what is written of a ratio is at most it, of what is missing at least it', () => {
  for (let step = 0; step < 4000; step++) {
    const value = 1 + step * 0.005
    for (const near of [value - Number.EPSILON * 4, value, value + Number.EPSILON * 4]) {
      expect(Number(formatRatio(near))).toBeLessThanOrEqual(near)
      expect(Number(formatRatio(near))).toBeGreaterThanOrEqual(near - 0.01001)
      expect(Number(formatShort(near))).toBeGreaterThanOrEqual(near)
      expect(Number(formatDifference(near, 3))).toBeLessThanOrEqual(near)
    }
  }
})
it.each([
  [0.0599, 2, '0.05'],
  [0.06, 2, '0.06'],
  [0.29, 2, '0.29'],
])('a difference of %d in %i decimals is %s', (difference, digits, text) => {
  expect(formatDifference(difference, digits)).toBe(text)
})
it('a verdict is a word', () => {
  const figures = { outcome: 'fails', verdict: 'fail', short_by: 0.201 }
  const say = (changes: object) => verdictText({ ...figures, ...changes } as unknown as PairFigures)
  expect(say({})).toBe('Short by 0.21')
  expect(say({ outcome: 'passes', verdict: 'AA' })).toBe('Passes AA')
  expect(say({ outcome: 'exempt' })).toBe('Exempt')
  expect(say({ outcome: 'unknown' })).toBe('Unknown')
  expect(formatNeeded(4.5)).toBe('4.5:1')
})
it('counts are written as people say them', () => {
  expect(countOf(1, 'colour', 'colours')).toBe('One colour')
  expect(countOf(0, 'colour', 'colours')).toBe('No colours')
  expect(countOf(12, 'colour', 'colours')).toBe('12 colours')
})
it('a ratio that is an exact hundredth is written as itself, as the core writes it', () => {
  for (let hundredths = 100; hundredths <= 2100; hundredths += 1) {
    const ratio = hundredths / 100
    expect(formatRatio(ratio)).toBe(ratio.toFixed(2))
  }
})
