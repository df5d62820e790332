/** Changes of how a take is proved: grounds, sections, type and pictures. */
import type { ElementKind, Ground, ProofSettings, TakeDocument, TextStyle } from '@/api/types'
import { freeIdOf } from '@/pairs/edits'

export const setProof = (take: TakeDocument, changes: Partial<ProofSettings>): TakeDocument => ({
  ...take,
  proof: { ...take.proof, ...changes },
})

/** Give an element of a ground a colour; null gives it back to the rule. */
export function setUse(
  take: TakeDocument,
  ground: string,
  element: ElementKind,
  key: string | null,
): TakeDocument {
  const before = take.grounds.find((one) => one.id === ground) ?? emptyGround(ground)
  const others = before.uses.filter((one) => one.element !== element)
  return putGround(take, {
    ...before,
    uses: key === null ? others : [...others, { element, key }],
  })
}

/** Everything on a ground is given back to the rule. */
export function forgetGround(take: TakeDocument, ground: string): TakeDocument {
  const before = take.grounds.find((one) => one.id === ground)
  return before ? putGround(take, { ...before, uses: [] }) : take
}

export function addGround(take: TakeDocument, name: string, key: string): TakeDocument {
  const id = freeIdOf('ground-', take.grounds)
  return { ...take, grounds: [...take.grounds, { id, name, ground: key, uses: [] }] }
}

/** The ground goes, and the sections that stood on it go back to their usual one. */
export function removeGround(take: TakeDocument, id: string): TakeDocument {
  return {
    ...take,
    grounds: take.grounds.filter((one) => one.id !== id),
    proof: {
      ...take.proof,
      sections: take.proof.sections.filter((one) => one.ground !== id),
    },
  }
}

export function standOn(
  take: TakeDocument,
  page: string,
  grounds: Readonly<Record<string, string>>,
): TakeDocument {
  const others = take.proof.sections.filter((one) => one.page !== page || !(one.section in grounds))
  const given = Object.entries(grounds).map(([section, ground]) => ({ page, section, ground }))
  return setProof(take, { sections: [...others, ...given] })
}

export const usualGrounds = (take: TakeDocument, page: string): TakeDocument =>
  setProof(take, { sections: take.proof.sections.filter((one) => one.page !== page) })

/** The size of a text in narrower windows; null lets it follow the wide one again. */
export function setNarrowSize(
  take: TakeDocument,
  width: 'tablet' | 'phone',
  style: TextStyle,
  size: number | null,
): TakeDocument {
  const others = take.proof.narrow_sizes.filter((one) => one.width !== width || one.style !== style)
  const narrow_sizes = size === null ? others : [...others, { width, style, size }]
  return setProof(take, { narrow_sizes })
}

export function setSize(
  take: TakeDocument,
  style: TextStyle,
  size: number,
  weight: number,
): TakeDocument {
  const others = take.proof.sizes.filter((one) => one.style !== style)
  return setProof(take, { sizes: [...others, { style, size, weight }] })
}

function putGround(take: TakeDocument, ground: Ground): TakeDocument {
  const isUsual = !ground.ground && !ground.name && !ground.uses.length
  const at = take.grounds.findIndex((one) => one.id === ground.id)
  if (isUsual) return { ...take, grounds: take.grounds.filter((one) => one.id !== ground.id) }
  const grounds =
    at < 0 ? [...take.grounds, ground] : take.grounds.map((one, row) => (row === at ? ground : one))
  return { ...take, grounds }
}

const emptyGround = (id: string): Ground => ({ id, name: null, ground: null, uses: [] })
