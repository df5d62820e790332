/** The open take on its way into the database: nothing is lost, whatever the server says. */
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, expect, it, vi } from 'vitest'
import type { TakeDocument } from '@/api/types'
import { unsent } from '@/document/unsent'
import { useTakeStore } from '@/stores/take'
import { answer, calls, later, Refusal, settled } from './server'
import type { Call } from './server'
import { figuresOf, saved, takeOf } from './takes'

const named = (name: string): TakeDocument => {
  const [first, ...rest] = takeOf().swatches
  return takeOf({ swatches: first ? [{ ...first, name }, ...rest] : rest })
}
const puts = () => calls.filter((call) => call.method === 'PUT')
const sent = (call: Call | undefined) => call?.body as { document: TakeDocument; revision: number }
const nameOf = (take: TakeDocument | undefined) => take?.swatches[0]?.name

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
  for (const name of ['One', 'Two', 'Three']) take.change(named(name))
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
  expect(nameOf(unsent.read('t1')?.document)).toBe('Dusk')
  answer('PUT /api/takes/t1', (call) => saved(sent(call).document, ++revision))
  await vi.advanceTimersByTimeAsync(5000)
  vi.useRealTimers()
  await settled()
  expect(take.saveState).toBe('saved')
  expect(unsent.read('t1')).toBeUndefined()
})

it('sends what a window that was closed could not save, one step back from it', async () => {
  unsent.keep('t1', { document: named('Dusk'), revision: 1 })
  const take = await opened()
  expect([nameOf(take.document), puts().length, take.canUndo]).toEqual(['Dusk', 1, true])
  take.undo()
  expect(nameOf(take.document)).toBe('Night')
})

it('forgets what is saved already', async () => {
  unsent.keep('t1', { document: takeOf(), revision: 1 })
  await opened()
  expect(puts()).toEqual([])
  expect(unsent.read('t1')).toBeUndefined()
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

it('cuts a version of what is saved, once the last change has arrived', async () => {
  const take = await opened()
  answer('POST /api/takes/t1/versions', () => ({}))
  take.change(named('Dusk'))
  await take.cutVersion('Before it', true)
  expect(calls.slice(-2).map(({ method }) => method)).toEqual(['PUT', 'POST'])
  expect(calls.at(-1)?.body).toEqual({ note: 'Before it', is_automatic: true })
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
