/** How figures are written: never better than they are. */
import { expect, it } from 'vitest'
import type { PairFigures } from '@/api/types'
import {
  countOf,
  formatNeeded,
  formatRatio,
  formatShare,
  formatShort,
  roleName,
  roleNames,
  verdictText,
} from '@/format'

it.each([
  [4.499, '4.49'],
  [4.5, '4.50'],
  [21, '21.00'],
  [2.9999, '2.99'],
  [1, '1.00'],
])('a ratio of %d is %s', (ratio, text) => {
  expect(formatRatio(ratio)).toBe(text)
})
it.each([
  [0.001, '0.01'],
  [0, '0.00'],
  [1.5, '1.50'],
])('what is missing, %d, is %s', (missing, text) => {
  expect(formatShort(missing)).toBe(text)
})
it.each([
  [0, '0 %'],
  [0.004, '< 1 %'],
  [0.01, '1 %'],
  [0.625, '63 %'],
  [1, '100 %'],
])('a share of %d is %s', (share, text) => {
  expect(formatShare(share)).toBe(text)
})
it('a verdict is a word', () => {
  const figures = { excepted: false, passes: false, verdict: 'fail', short_by: 0.201 }
  const say = (changes: object) => verdictText({ ...figures, ...changes } as PairFigures)
  expect(say({})).toBe('Short by 0.21')
  expect(say({ passes: true, verdict: 'AA' })).toBe('Passes AA')
  expect(say({ excepted: true })).toBe('Excepted')
  expect(formatNeeded(4.5)).toBe('4.5 : 1')
})
it('roles and counts are written as people say them', () => {
  expect(roleName('accent-2')).toBe('Accent 2')
  expect(roleNames(['primary', 'own-call-out'])).toBe('Primary, Call out')
  expect(countOf(1, 'colour', 'colours')).toBe('One colour')
  expect(countOf(0, 'colour', 'colours')).toBe('No colours')
  expect(countOf(12, 'colour', 'colours')).toBe('12 colours')
})
