/** A brand's name from its file's: what is said of the file and not of the brand is left out. */
import { expect, it } from 'vitest'
import { nameFromFile } from './useBrandStart'

it.each([
  ['saltmarsh-kayak_logo v2.svg', 'Saltmarsh kayak'],
  ['Orrin.Peak.final.RGB.png', 'Orrin Peak'],
  ['ジュニパー.svg', 'ジュニパー'],
  ['logo.svg', 'New brand'],
  ['.svg', 'New brand'],
  [`${'w'.repeat(200)}.png`, `W${'w'.repeat(79)}`],
])('%s is %s', (file, name) => {
  expect(nameFromFile(file)).toBe(name)
})
