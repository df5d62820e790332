/** Steps back and forward: each leads where it was, over a reload too, and whatever the storage holds. */
import { beforeEach, expect, it, vi } from 'vitest'
import { useHistory } from '@/take/useHistory'

const KEY = 'tonada-history-t1'
const kept = () =>
  JSON.parse(sessionStorage.getItem(KEY) ?? 'null') as { past: string[]; future: string[] }

/** A history of the take, as a page that was just loaded has it. */
function opened(isReadable?: (value: string) => boolean) {
  const history = useHistory<string>(isReadable)
  history.open('t1')
  return history
}

/** A storage that takes only what it has room for. */
function stubStorage(fits: (text: string) => boolean) {
  const texts = new Map<string, string>()
  vi.stubGlobal('sessionStorage', {
    getItem: (key: string) => texts.get(key) ?? null,
    setItem: (key: string, text: string) => {
      if (!fits(text)) throw new Error('full')
      texts.set(key, text)
    },
    removeItem: (key: string) => texts.delete(key),
  })
}

beforeEach(() => {
  vi.unstubAllGlobals()
  sessionStorage.clear()
})

it('begins with nothing, and then there is nothing to go to', () => {
  const history = opened()
  expect([history.canUndo.value, history.canRedo.value]).toEqual([false, false])
  expect([history.undo('now'), history.redo('now')]).toEqual([undefined, undefined])
  expect([history.canUndo.value, history.canRedo.value]).toEqual([false, false])
})

it('goes back and forward one step at a time', () => {
  const history = opened()
  for (const value of ['a', 'b']) history.record(value)
  expect(history.undo('c')).toBe('b')
  expect([history.canUndo.value, history.canRedo.value]).toEqual([true, true])
  expect(history.undo('b')).toBe('a')
  expect([history.canUndo.value, history.canRedo.value]).toEqual([false, true])
  expect(history.redo('a')).toBe('b')
  expect(history.redo('b')).toBe('c')
  expect([history.canUndo.value, history.canRedo.value]).toEqual([true, false])
})

it('forgets what was taken back once something new is done', () => {
  const history = opened()
  history.record('a')
  history.undo('b')
  history.record('a')
  expect(history.canRedo.value).toBe(false)
  expect(kept()).toEqual({ past: ['a'], future: [] })
})

it('is there again after a reload, each take with its own', () => {
  const before = opened()
  for (const value of ['a', 'b']) before.record(value)
  before.undo('c')
  const after = opened()
  expect([after.canUndo.value, after.canRedo.value]).toEqual([true, true])
  expect([after.redo('b'), after.undo('c')]).toEqual(['c', 'b'])
  after.open('t2')
  expect([after.canUndo.value, after.canRedo.value]).toEqual([false, false])
})

it('leaves out what can’t be read any more, in both directions', () => {
  sessionStorage.setItem(KEY, JSON.stringify({ past: ['old', 'a'], future: ['old', 'c'] }))
  const history = opened((value) => value !== 'old')
  expect([history.redo('b'), history.undo('c'), history.undo('b')]).toEqual(['c', 'b', 'a'])
  expect(history.canUndo.value).toBe(false)
})

it.each(['{', '7', '{"past":4}', '{}'])('takes %s in the storage for nothing', (nonsense) => {
  sessionStorage.setItem(KEY, nonsense)
  const history = opened()
  expect([history.canUndo.value, history.canRedo.value]).toEqual([false, false])
  history.record('a')
  expect(history.undo('b')).toBe('a')
})

it('keeps the newer half for a reload where the storage is full, and all of it in this window', () => {
  stubStorage((text) => (JSON.parse(text) as { past: string[] }).past.length <= 3)
  const history = opened()
  for (const value of ['a', 'b', 'c', 'd']) history.record(value)
  expect(kept().past).toEqual(['c', 'd'])
  history.record('e')
  expect(kept().past).toEqual(['d', 'e'])
  expect(['f', 'e', 'd', 'c', 'b'].map((now) => history.undo(now))).toEqual([
    'e',
    'd',
    'c',
    'b',
    'a',
  ])
})

it('keeps nothing for a reload where the storage takes nothing, and works all the same', () => {
  let isFull = false
  stubStorage(() => !isFull)
  sessionStorage.setItem(KEY, JSON.stringify({ past: ['older'], future: [] }))
  isFull = true
  const history = opened()
  history.record('a')
  expect(sessionStorage.getItem(KEY)).toBeNull()
  expect([history.undo('b'), history.undo('a')]).toEqual(['a', 'older'])
})
