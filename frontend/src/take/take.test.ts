/** The open take on its way into the database: nothing is lost, whatever the server says. */
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, expect, it, vi } from 'vitest'
import type { TakeDocument } from '@/api/types'
import { useTakeStore } from '@/take/take'
import { answer, calls, later, Refusal, settled } from '@/testing/server'
import type { Call } from '@/testing/server'
import { figuresOf, saved, takeOf } from '@/testing/takes'

const named = (name: string): TakeDocument => {
  const [first, ...rest] = takeOf().swatches
  return takeOf({ swatches: first ? [{ ...first, name }, ...rest] : rest })
}
const puts = () => calls.filter((call) => call.method === 'PUT')
const sent = (call: Call | undefined) => call?.body as { document: TakeDocument; revision: number }
const nameOf = (take: TakeDocument | undefined) => take?.swatches[0]?.name

/** What a window has left of a take, under the name of that window. */
const keyOf = (window: string) => `tonada-unsent-t1_${window}`
const leave = (window: string, state: object) => {
  localStorage.setItem(keyOf(window), JSON.stringify(state))
}
const left = () => Object.values(localStorage).map((kept) => (JSON.parse(kept) as Left).document)
interface Left {
  document: TakeDocument
}

let revision = 1
async function opened() {
  const take = useTakeStore()
  await take.open('t1')
  await settled()
  return take
}

beforeEach(() => {
  setActivePinia(createPinia())
  revision = 1
  answer('GET /api/takes/t1', () => saved(takeOf(), 1))
  answer('POST /api/evaluate', (call) =>
    figuresOf((call.body as { document: TakeDocument }).document),
  )
  answer('PUT /api/takes/t1', (call) => saved(sent(call).document, ++revision))
})

it('shows a change at once, saves it with the token, and goes back and forward', async () => {
  const take = await opened()
  expect(take.canUndo).toBe(false)
  take.change(named('Dusk'))
  expect([nameOf(take.document), take.saveState]).toEqual(['Dusk', 'saving'])
  await settled()
  expect([take.saveState, take.take?.revision]).toEqual(['saved', 2])
  expect(puts()[0]?.token).toBe('a token')
  take.undo()
  await settled()
  expect([nameOf(take.document), take.take?.revision, take.canRedo]).toEqual(['Night', 3, true])
  take.redo()
  await settled()
  expect([nameOf(take.document), take.take?.revision, take.canRedo]).toEqual(['Dusk', 4, false])
})

it('sends one state at a time, and of those that wait only the newest', async () => {
  const take = await opened()
  const slow = later<null>()
  answer('PUT /api/takes/t1', async (call) => {
    await slow.promise
    return saved(sent(call).document, ++revision)
  })
  take.change(named('One'))
  await settled()
  for (const name of ['Two', 'Three']) take.change(named(name))
  await settled()
  expect(puts()).toHaveLength(1)
  slow.release(null)
  await settled()
  expect(puts().map((call) => [nameOf(sent(call).document), sent(call).revision])).toEqual([
    ['One', 1],
    ['Three', 2],
  ])
  expect(take.saveState).toBe('saved')
})

it('keeps what the server could not take, and tries again', async () => {
  const take = await opened()
  vi.useFakeTimers({
    toFake: ['setTimeout', 'clearTimeout'],
    shouldAdvanceTime: true,
    advanceTimeDelta: 20,
  })
  answer('PUT /api/takes/t1', () => {
    throw new TypeError('offline')
  })
  take.change(named('Dusk'))
  await vi.advanceTimersByTimeAsync(50)
  expect(take.saveState).toBe('waiting')
  expect(left().map(nameOf)).toEqual(['Dusk'])
  answer('PUT /api/takes/t1', (call) => saved(sent(call).document, ++revision))
  await vi.advanceTimersByTimeAsync(5000)
  vi.useRealTimers()
  await settled()
  expect(take.saveState).toBe('saved')
  expect(left()).toEqual([])
})

it('sends what a window that was closed could not save, one step back from it', async () => {
  leave('gone', { document: named('Dusk'), revision: 1 })
  const take = await opened()
  expect([nameOf(take.document), puts().length, take.canUndo]).toEqual(['Dusk', 1, true])
  take.undo()
  expect(nameOf(take.document)).toBe('Night')
})

it('forgets what is saved already', async () => {
  leave('gone', { document: takeOf(), revision: 1 })
  await opened()
  expect(puts()).toEqual([])
  expect(left()).toEqual([])
})

const theirs = () =>
  new Refusal({ status: 409, detail: 'Changed elsewhere.', take: saved(named('Theirs'), 7) })

it('stops at another window’s state; theirs is taken with mine one step back', async () => {
  const take = await opened()
  answer('PUT /api/takes/t1', theirs)
  take.change(named('Mine'))
  await settled()
  expect([take.saveState, nameOf(take.document), nameOf(take.conflict?.document)]).toEqual([
    'conflict',
    'Mine',
    'Theirs',
  ])
  take.change(named('Mine still'))
  await settled()
  expect(puts()).toHaveLength(1)
  take.takeTheirs()
  expect([take.saveState, nameOf(take.document), take.take?.revision]).toEqual([
    'saved',
    'Theirs',
    7,
  ])
  take.undo()
  expect(nameOf(take.document)).toBe('Mine still')
})

it('keeps mine as a take of its own', async () => {
  const take = await opened()
  answer('PUT /api/takes/t1', theirs)
  answer('POST /api/brands/b1/takes', (call) => ({ ...saved(sent(call).document, 1), id: 't2' }))
  take.change(named('Mine'))
  await settled()
  const made = await take.keepMine()
  expect([made?.id, nameOf(made?.document), take.saveState]).toEqual(['t2', 'Mine', 'saved'])
})

it('saves by day what is changed by night', async () => {
  const night = { roles: takeOf().roles.slice(0, 1), pairs: [], grounds: [] }
  answer('GET /api/takes/t1', () => saved(takeOf({ other: night }), 1))
  const take = await opened()
  take.scheme = 'night'
  expect(take.document?.roles).toHaveLength(1)
  if (take.document) take.change({ ...take.document, roles: [] })
  await settled()
  const kept = sent(puts()[0]).document
  expect([kept.scheme, kept.roles.length, kept.other?.roles.length]).toEqual(['day', 3, 0])
})

it('keeps its steps over a reload, and those of another take apart', async () => {
  const take = await opened()
  take.change(named('Dusk'))
  await settled()
  setActivePinia(createPinia())
  answer('GET /api/takes/t1', () => saved(named('Dusk'), 2))
  const again = await opened()
  expect(again.canUndo).toBe(true)
  again.undo()
  expect(nameOf(again.document)).toBe('Night')
  answer('GET /api/takes/t2', () => ({ ...saved(takeOf(), 1), id: 't2' }))
  await again.open('t2')
  expect(again.canUndo).toBe(false)
})

it('sends again, as it was, what may have arrived, and goes on from there', async () => {
  const take = await opened()
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'], shouldAdvanceTime: true })
  answer('PUT /api/takes/t1', () => {
    throw new TypeError('the answer was lost')
  })
  take.change(named('Dusk'))
  await vi.advanceTimersByTimeAsync(50)
  take.change(named('Night sky'))
  answer('PUT /api/takes/t1', (call) => saved(sent(call).document, ++revision))
  await vi.advanceTimersByTimeAsync(5000)
  vi.useRealTimers()
  await settled()
  expect(puts().map((call) => [nameOf(sent(call).document), sent(call).revision])).toEqual([
    ['Dusk', 1],
    ['Dusk', 1],
    ['Night sky', 2],
  ])
})

it('what is left behind is saved for its own take, whatever is opened meanwhile', async () => {
  const take = await opened()
  answer('GET /api/takes/t2', () => ({ ...saved(named('Other'), 1), id: 't2', name: 'Take 2' }))
  answer('PUT /api/takes/t2', (call) => ({ ...saved(sent(call).document, 2), id: 't2' }))
  const slow = later<null>()
  answer('PUT /api/takes/t1', async (call) => {
    await slow.promise
    return saved(sent(call).document, ++revision)
  })
  take.change(named('Mine'))
  await settled()
  take.change(named('Mine, newer'))
  await take.open('t2')
  expect([take.take?.id, take.saveState, take.unsavedElsewhere]).toEqual([
    't2',
    'saved',
    ['Take 1'],
  ])
  take.change(named('Other, newer'))
  slow.release(null)
  await settled()
  expect(puts().map((call) => [call.path.at(-1), nameOf(sent(call).document)])).toEqual([
    ['1', 'Mine'],
    ['2', 'Other, newer'],
    ['1', 'Mine, newer'],
  ])
  expect([take.take?.id, nameOf(take.document), take.unsavedElsewhere]).toEqual([
    't2',
    'Other, newer',
    [],
  ])
})

it('of two takes opened in a hurry the last one is shown', async () => {
  const take = await opened()
  const slow = later<null>()
  answer('GET /api/takes/t2', async () => {
    await slow.promise
    return { ...saved(named('Slow'), 1), id: 't2' }
  })
  const first = take.open('t2')
  await take.open('t1')
  slow.release(null)
  await first
  expect([take.take?.id, nameOf(take.document)]).toEqual(['t1', 'Night'])
})

it('figures that come with a take are shown and not asked for', async () => {
  answer('GET /api/takes/t1/evaluation', () => ({ revision: 1, evaluation: figuresOf(takeOf()) }))
  const take = await opened()
  expect(take.evaluation).toEqual(figuresOf(takeOf()))
  expect(calls.map((call) => call.path)).not.toContain('/api/evaluate')
})

it('figures of another revision than the take are not shown', async () => {
  const others = { ...figuresOf(takeOf()), failing: 99 }
  answer('GET /api/takes/t1/evaluation', () => ({ revision: 2, evaluation: others }))
  const take = await opened()
  expect(take.evaluation).toEqual(figuresOf(takeOf()))
})

it('a take opens by day, whatever the one before was looked at by', async () => {
  const take = await opened()
  take.change({
    ...named('Dusk'),
    other: { roles: [], pairs: [], grounds: [] },
  })
  take.scheme = 'night'
  expect(take.document?.scheme).toBe('night')
  answer('GET /api/takes/t2', () => ({
    ...saved({ ...named('Other'), other: { roles: [], pairs: [], grounds: [] } }, 1),
    id: 't2',
  }))
  await take.open('t2')
  expect([take.scheme, take.document?.scheme]).toEqual(['day', 'day'])
})

it('tries again once, however the first try ended', async () => {
  const take = await opened()
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'], shouldAdvanceTime: true })
  answer('PUT /api/takes/t1', () => {
    throw new TypeError('offline')
  })
  take.change(named('Dusk'))
  await vi.advanceTimersByTimeAsync(50)
  // The next change goes out at once, and the try that was to come is not wanted any more.
  answer('PUT /api/takes/t1', (call) => saved(sent(call).document, ++revision))
  take.change(named('Dawn'))
  await vi.advanceTimersByTimeAsync(50)
  expect(take.saveState).toBe('saved')
  const before = calls.length
  answer('PUT /api/takes/t1', () => {
    throw new TypeError('offline')
  })
  take.change(named('Noon'))
  await vi.advanceTimersByTimeAsync(3900)
  // One for the change itself; the old try would have been due by now.
  expect(calls.slice(before).filter(({ method }) => method === 'PUT')).toHaveLength(1)
  vi.useRealTimers()
})

it('a take deleted elsewhere keeps what was made here, and is brought back with it', async () => {
  const take = await opened()
  answer('PUT /api/takes/t1', () => new Refusal({ status: 410, detail: 'It was deleted.' }))
  take.change(named('Dusk'))
  await settled()
  expect([take.saveState, nameOf(take.document), left().map(nameOf)]).toEqual([
    'removed',
    'Dusk',
    ['Dusk'],
  ])
  answer('POST /api/takes/t1/restoration', () => saved(takeOf(), 1))
  answer('PUT /api/takes/t1', (call) => saved(sent(call).document, ++revision))
  await take.bringBack()
  await settled()
  expect([take.saveState, take.take?.revision, left()]).toEqual(['saved', 2, []])
})

it('says why a state can’t be saved, and saves the next one', async () => {
  const take = await opened()
  answer('PUT /api/takes/t1', () => new Refusal({ status: 422, detail: 'Too many pairs.' }))
  take.change(named('Dusk'))
  await settled()
  expect([take.saveState, take.saveProblem]).toEqual(['refused', 'Too many pairs.'])
  answer('PUT /api/takes/t1', (call) => saved(sent(call).document, ++revision))
  take.undo()
  await settled()
  expect(take.saveState).toBe('saved')
})

it('leaves alone what a window that lives has not saved yet', async () => {
  const request = (name: string, _: unknown, work?: () => unknown) =>
    name === 'tonada-window-alive' ? Promise.reject(new Error('held')) : work?.()
  vi.stubGlobal('navigator', { locks: { request } })
  vi.resetModules()
  const { unsent } = await import('@/take/unsent')
  leave('alive', { document: named('Theirs'), revision: 1 })
  expect(await unsent.adopt('t1')).toBeUndefined()
  leave('gone', { document: named('Left'), revision: 1 })
  expect(nameOf((await unsent.adopt('t1'))?.document)).toBe('Left')
  expect(localStorage.getItem(keyOf('gone'))).toBeNull()
  expect(left().map(nameOf).sort()).toEqual(['Left', 'Theirs'])
  vi.unstubAllGlobals()
})
