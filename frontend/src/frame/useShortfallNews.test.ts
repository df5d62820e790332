import { describe, expect, it } from 'vitest'
import type { PairFigures } from '@/api/types'
import { newsOf } from './useShortfallNews'

const short = (...pairs: [id: string, text: string][]) =>
  new Map(pairs.map(([id, text_name]) => [id, { id, text_name } as PairFigures]))

describe('what is said of pairs that fall short', () => {
  it('names the texts that fall short now, with all their pairs', () => {
    const before = short(['a', 'Ink'])
    const now = short(['a', 'Ink'], ['b', 'Ink'], ['c', 'Muted'])
    expect(newsOf(before, now)).toBe('Ink: now two pairs short; Muted: now one pair short')
  })
  it('says how many are left, and that none is', () => {
    expect(newsOf(short(['a', 'Ink'], ['b', 'Ink']), short(['a', 'Ink']))).toBe(
      'One pair is short still',
    )
    expect(newsOf(short(['a', 'Ink']), short())).toBe('Every pair passes now')
  })
  it('says nothing of a change that leaves them as they were', () => {
    expect(newsOf(short(['a', 'Ink']), short(['a', 'Ink']))).toBe('')
  })
})
