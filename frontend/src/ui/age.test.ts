/** How long ago something was: in words up to a week, by its day after that. */
import { expect, it, vi } from 'vitest'
import { formatAge, formatDay } from './format'

const NOW = Date.UTC(2026, 10, 29, 12)
const MINUTE = 60_000

it.each([
  [0, 'just now'],
  [-5 * MINUTE, 'just now'],
  [5 * MINUTE, '5 minutes ago'],
  [60 * MINUTE, '1 hour ago'],
  [25 * 60 * MINUTE, 'yesterday'],
])('%d ms ago is %s', (age, said) => {
  expect(formatAge(new Date(NOW - age).toISOString(), NOW)).toBe(said)
})

it('names the day of what is older, and the year of another year', () => {
  const inThisYear = formatAge(new Date(NOW - 15 * 24 * 60 * MINUTE).toISOString(), NOW)
  expect(inThisYear).toMatch(/14/)
  expect(inThisYear).not.toMatch(/2026/)
  expect(formatAge(new Date(NOW - 400 * 24 * 60 * MINUTE).toISOString(), NOW)).toMatch(/25.*2025/)
})

it('writes a day as the language of the browser does', () => {
  const writes = vi.spyOn(Date.prototype, 'toLocaleDateString')
  formatDay('2026-03-01', { isWholeDay: true, hasYear: true })
  const [language, options] = writes.mock.calls[0] ?? []
  expect(language).toBeUndefined()
  expect(options).toMatchObject({ timeZone: 'UTC', year: 'numeric' })
  writes.mockRestore()
})
