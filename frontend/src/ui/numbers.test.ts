/** Numbers as people type them: in whichever language, and never another one than was meant. */
import { expect, it } from 'vitest'
import { readNumber, writeNumber } from './numbers'

it.each([
  ['0,45', 0.45],
  ['0.45', 0.45],
  [',5', 0.5],
  ['.5', 0.5],
  ['12', 12],
  [' 12 ', 12],
  ['+12', 12],
  ['-0,5', -0.5],
  ['−3', -3],
  ['45 %', 45],
  ['150°', 150],
  ['4,5:1', 4.5],
  ['18px', 18],
  ['1.', 1],
])('“%s” is %d', (text, value) => {
  expect(readNumber(text)).toBe(value)
})

it.each(['1,234.5', '1.234,5', '1 234', "1'234.5", '1,234,567'])(
  '“%s” is refused: it has separators between thousands',
  (text) => {
    expect(readNumber(text)).toBe('Type the number without separators between thousands.')
  },
)

it.each(['', '-', ',', 'abc', '1e3', '0x10', '--1', '1,', 'Infinity', '٣'])(
  '“%s” is a number or is refused, and never something else',
  (text) => {
    const read = readNumber(text, { min: 0, max: 10 })
    expect(text === '1,' ? read === 1 : read === 'Type a number from 0 to 10.').toBe(true)
  },
)

it('what is out of range is refused, and nothing is clamped', () => {
  expect(readNumber('45', { min: 0, max: 1 })).toBe('Type a number from 0 to 1.')
  expect(readNumber('0', { min: 1 })).toBe('Type a number of at least 1.')
  expect(readNumber('2,5', { min: 1, max: 9, isWhole: true })).toBe(
    'Type a whole number from 1 to 9.',
  )
})

it('what is shown can be typed again, in each language', () => {
  for (const language of ['en', 'de', 'fr-CH', 'sv', 'pt-BR', 'ar-EG', 'hi'])
    for (const value of [0, 0.387, 12, 150.5, -0.5, 1234.5])
      expect(
        readNumber(writeNumber(value, 3, language).replaceAll(/[\u200e\u200f\u061c]/g, '')),
      ).toBe(value)
})
