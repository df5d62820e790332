/** What roles are called: the server's words, or the designer's own. */
import { expect, it } from 'vitest'
import { isExtra, isKnown, roleLabel, roleLabels } from '@/take/roles'
import { assigned } from '@/testing/takes'

const own = { ...assigned('own-call-out', 's1'), name: 'Call out' }

it('a role is called as the server calls it; one of the designer’s own by its name', () => {
  expect(roleLabel([own], 'accent-2')).toBe('Accent 2')
  expect(roleLabels([own], ['primary', 'own-call-out'])).toBe('Primary, Call out')
})

it('a take can be without further accents and without roles of its own', () => {
  expect(['accent-2', 'own-call-out', 'primary'].map(isExtra)).toEqual([true, true, false])
  expect(['accent-2', 'own-call-out'].map(isKnown)).toEqual([true, false])
})
