/** Which files open as a take or a brand: told by how they begin, whatever they are called. */
import { expect, it } from 'vitest'
import { ownKindOf } from './openedFiles'

it.each([
  ['{\n "format": "tonada take",\n "version": 3', 'take'],
  ['\uFEFF{"format":"tonada take"}', 'take'],
  ['PK\u0003\u0004 and more', 'brand'],
  ['{"format": "another"}', undefined],
  ['{"name": "a list", "format": "tonada take"}', undefined],
  [':root { --primary: #2b3a8c }', undefined],
  ['', undefined],
])('%j is %s', async (text, kind) => {
  expect(await ownKindOf(new File([text], 'any.txt'))).toBe(kind)
})
