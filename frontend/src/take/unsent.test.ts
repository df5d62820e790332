/** What the browser keeps of a take that the server doesn't have yet, over a crash or a closed window. */
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { takeOf } from '@/testing/takes'

/** A window: the module as it is loaded there, with the locks of the browser if it has them. */
async function opened(locks?: unknown) {
  vi.resetModules()
  vi.stubGlobal('navigator', { locks })
  const { unsent } = await import('@/take/unsent')
  return unsent
}
const state = (level: 'A' | 'AA' | 'AAA', at?: number) => ({
  document: takeOf({ level }),
  revision: 1,
  pending: null,
  intents: [],
  ...(at && { at }),
})
const leave = (window: string, left: unknown, take = 't1') => {
  localStorage.setItem(`tonada-unsent-${take}_${window}`, JSON.stringify(left))
}
const keys = () => Object.keys(localStorage)

beforeEach(() => {
  localStorage.clear()
})
afterEach(() => {
  vi.unstubAllGlobals()
})

it('the newest of what windows have left is taken over, whatever order they are found in', async () => {
  for (const order of [
    ['b', 'c', 'a'],
    ['a', 'b', 'c'],
    ['c', 'a', 'b'],
  ]) {
    localStorage.clear()
    const left = { a: state('A', 100), b: state('AAA', 300), c: state('AA', 200) }
    for (const name of order) leave(name, left[name as 'a'])
    leave('none', { ...state('A'), at: undefined })
    const unsent = await opened()
    expect((await unsent.adopt('t1'))?.document.level).toBe('AAA')
    // The others are there for whoever comes next; this one is this window's now.
    expect(keys().filter((key) => key.endsWith('_b'))).toEqual([])
    expect(keys()).toHaveLength(4)
    expect((await unsent.adopt('t1'))?.document.level).toBe('AAA')
  }
})

it('of another take nothing is taken', async () => {
  leave('a', state('A'), 't10')
  localStorage.setItem('another', JSON.stringify(state('A')))
  const unsent = await opened()
  expect(await unsent.adopt('t1')).toBeUndefined()
  expect(keys()).toHaveLength(2)
})

it('what is on its way, and what waits, come along', async () => {
  const pending = { document: takeOf({ level: 'A' }), revision: 4 }
  const intents = [{ change: { kind: 'states' }, scheme: 'night' }]
  leave('a', { ...state('AAA', 5), pending, intents })
  leave('b', { document: takeOf(), revision: 2 })
  const unsent = await opened()
  expect(await unsent.adopt('t1')).toMatchObject({ pending, intents })
  unsent.forget('t1')
  // As an older version wrote it.
  expect(await unsent.adopt('t1')).toMatchObject({ revision: 2, pending: null, intents: [] })
})

it.each(['null', '7', '"text"', '{', '{"document":{}}', '{"revision":1}', '[]'])(
  'takes %s for nothing',
  async (nonsense) => {
    localStorage.setItem('tonada-unsent-t1_a', nonsense)
    const unsent = await opened()
    expect(await unsent.adopt('t1')).toBeUndefined()
  },
)

it('a window holds its lock for as long as it lives, and takes nothing of one that does', async () => {
  const held = new Map<string, unknown>()
  const asked: string[] = []
  const locks = {
    request: (name: string, options: unknown, work?: () => unknown) => {
      if (typeof options === 'function') {
        held.set(name, (options as () => unknown)())
        return Promise.resolve()
      }
      asked.push(name)
      expect((options as { signal: AbortSignal }).signal).toBeInstanceOf(AbortSignal)
      return name.endsWith('alive')
        ? Promise.reject(new DOMException('still held', 'TimeoutError'))
        : Promise.resolve(work?.())
    },
  }
  leave('alive', state('AAA', 900))
  leave('gone', state('A', 100))
  const unsent = await opened(locks)
  expect(held.size).toBe(1)
  const [own, promise] = [...held].flat()
  expect(own).toMatch(/^tonada-window-\w{6,}$/)
  expect(promise).toBeInstanceOf(Promise)
  expect((await unsent.adopt('t1'))?.document.level).toBe('A')
  expect(asked).toEqual(['tonada-window-alive', 'tonada-window-gone'])
  // Its own it knows without asking.
  asked.length = 0
  leave('alive', state('AAA', 1))
  expect((await unsent.adopt('t1'))?.document.level).toBe('A')
  expect(asked).toEqual([])
})

it('where the storage is full or forbidden, work goes on', async () => {
  const unsent = await opened()
  vi.stubGlobal('localStorage', {
    setItem: () => {
      throw new Error('full')
    },
  })
  unsent.keep('t1', state('A'))
})
