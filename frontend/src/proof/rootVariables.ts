import type { ProofFigures } from '@/api/types'
import type { ProofContext } from './context'
import { familyOf } from './pageFonts'

/** What the root of a sample page hands down to all of it: typefaces, sizes, paints of its pictures. */
export function rootVariables({ figures }: ProofContext): Record<string, string> {
  // What an own font lacks is drawn by letters of the script, and then by a typeface that ships.
  const face = (name: string, helper = '') =>
    [
      `'${familyOf(name)}'`,
      ...figures.letters
        .filter((one) => one.instead_of.includes(name))
        .map((one) => `'${one.family}'`),
      ...(helper ? [`'${familyOf(helper)}'`] : []),
      'sans-serif',
    ].join(', ')
  const { faces } = figures
  const sizes = figures.styles.flatMap((one) => [
    [`--size-${one.style}`, `${one.size.toString()}px`],
    [`--tablet-${one.style}`, `${one.tablet.toString()}px`],
    [`--phone-${one.style}`, `${one.phone.toString()}px`],
    [`--weight-${one.style}`, one.weight.toString()],
  ])
  const text = figures.styles.find((one) => one.style === 'text')
  return {
    '--heading-face': face(faces.heading, faces.heading_helper),
    '--text-face': face(faces.text, faces.text_helper),
    '--text': `${(text?.weight ?? 400).toString()} ${(text?.size ?? 16).toString()}px`,
    ...(Object.fromEntries(sizes) as Record<string, string>),
    ...paintVariables(figures),
  }
}

/** The colours of drawn pictures, by the names of their paints. */
export const paintVariables = ({ paints }: ProofFigures): Record<string, string> =>
  Object.fromEntries(paints.map((one) => [`--paint-${one.name.replace(' ', '-')}`, one.hex]))
