/** Keys on notes and flags: none is lost, however late the answers are, and a row of them is one step. */
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope } from 'vue'
import { useNoteKeys } from './useNoteKeys'
import type { Evaluation, Flag, SwatchFigures, TakeChange } from '@/api/types'
import { EMPTY_TAKE } from '@/api/constants'

const flag = { angle: 150, turn: 150, hue: 60, swatch: 's2' } as Flag
const figures = { id: 's2', lightness: 0.5, chroma: 0.1, hue: 358 } as SwatchFigures
const look = {
  document: EMPTY_TAKE,
  evaluation: { stave: { flags: [flag] } } as unknown as Evaluation,
}
const shown: TakeChange[] = []
let kept: (() => void)[] = []
const scope = effectScope()

function keysOf() {
  const keys = scope.run(() =>
    useNoteKeys(look, {
      show: (change) => shown.push(change),
      keep: () =>
        new Promise((resolve) => {
          kept.push(resolve)
        }),
      hold: vi.fn(),
      remove: vi.fn(),
    }),
  )
  if (!keys) throw new Error('The scope has ended.')
  return keys
}
const press = (key: string) => new KeyboardEvent('keydown', { key, cancelable: true })

beforeEach(() => {
  vi.useFakeTimers()
  shown.length = 0
  kept = []
})
afterEach(() => {
  vi.useRealTimers()
})

describe('keys', () => {
  it('on a flag add up while no answer has come', () => {
    const keys = keysOf()
    for (let count = 0; count < 5; count++) keys.stepFlag(flag, 1)
    expect(shown.at(-1)).toMatchObject({ kind: 'flag', index: 0, angle: 155 })
    for (let count = 0; count < 3; count++) keys.stepFlag('anchor', -10)
    expect(shown.at(-1)).toMatchObject({ kind: 'chord', turn: -30 })
  })

  it('on a note add up, around the circle', () => {
    const keys = keysOf()
    for (let count = 0; count < 4; count++) keys.press(figures, press('ArrowRight'))
    expect(shown.at(-1)).toMatchObject({ kind: 'place', hue: 2 })
  })

  it('pressed while a step is being kept go on from what was reached', async () => {
    const keys = keysOf()
    for (let count = 0; count < 3; count++) keys.stepFlag(flag, 1)
    await vi.advanceTimersByTimeAsync(500)
    expect(kept).toHaveLength(1)
    keys.stepFlag(flag, 1)
    expect(shown.at(-1)).toMatchObject({ angle: 154 })
    kept[0]?.()
    await vi.advanceTimersByTimeAsync(1)
    keys.stepFlag(flag, 1)
    expect(shown.at(-1)).toMatchObject({ angle: 155 })
  })

  it('of one row are kept once', async () => {
    const keys = keysOf()
    for (let count = 0; count < 8; count++) {
      keys.press(figures, press('ArrowUp'))
      await vi.advanceTimersByTimeAsync(100)
    }
    await vi.advanceTimersByTimeAsync(500)
    expect(kept).toHaveLength(1)
  })
})
