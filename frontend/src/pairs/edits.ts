/** Pairs that the designer adds and takes out. What they reach is computed by the server. */
import type { Pair, TakeDocument } from '@/api/types'

export function freeIdOf(stem: string, taken: readonly { id: string }[]): string {
  const ids = new Set(taken.map(({ id }) => id))
  let number = 1
  while (ids.has(`${stem}${number.toString()}`)) number += 1
  return `${stem}${number.toString()}`
}

export function addPair(take: TakeDocument, pair: Omit<Pair, 'id'>): TakeDocument {
  return { ...take, pairs: [...take.pairs, { id: freeIdOf('added-', take.pairs), ...pair }] }
}

export function removePair(take: TakeDocument, id: string): TakeDocument {
  return { ...take, pairs: take.pairs.filter((pair) => pair.id !== id) }
}

export function changePair(take: TakeDocument, id: string, changes: Partial<Pair>): TakeDocument {
  return {
    ...take,
    pairs: take.pairs.map((pair) => (pair.id === id ? { ...pair, ...changes } : pair)),
  }
}
