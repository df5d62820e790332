/** How long ago something was: in words up to a week, by its day after that. */
import { expect, it } from 'vitest'
import { formatAge } from './format'

const NOW = Date.UTC(2026, 10, 29, 12)
const MINUTE = 60_000

it.each([
  [0, 'just now'],
  [-5 * MINUTE, 'just now'],
  [5 * MINUTE, '5 minutes ago'],
  [60 * MINUTE, '1 hour ago'],
  [25 * 60 * MINUTE, 'yesterday'],
  [15 * 24 * 60 * MINUTE, '14 November'],
  [400 * 24 * 60 * MINUTE, '25 October 2025'],
])('%d ms ago is %s', (age, said) => {
  expect(formatAge(new Date(NOW - age).toISOString(), NOW)).toBe(said)
})
