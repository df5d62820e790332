/** The way of one take's changes into the database: each state, and what leads from it to another. */
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import type { TakeDocument } from '@/api/types'
import { createSaving } from '@/take/saving'
import type { Intent } from '@/take/unsent'
import { answer, calls, later, Refusal } from '@/testing/server'
import { saved, takeOf } from '@/testing/takes'

const INTENT: Intent = { change: { kind: 'states' }, scheme: 'day' }
const dusk = takeOf({ level: 'AAA' })
const noon = takeOf({ level: 'A' })
const puts = () => calls.filter(({ method }) => method === 'PUT')
const levelOf = ({ body }: (typeof calls)[number]) =>
  (body as { document: TakeDocument }).document.level
const kept = () => localStorage.length
const turns = () => vi.advanceTimersByTimeAsync(0)
const away = () => {
  throw new TypeError('away')
}
const takes = (from = 1) => {
  let revision = from
  answer('PUT /api/takes/t1', ({ body }) =>
    saved((body as { document: TakeDocument }).document, ++revision),
  )
}

beforeEach(() => {
  vi.useFakeTimers()
  takes()
})
afterEach(() => {
  vi.useRealTimers()
})

it('begins saved, and sends nothing where there is nothing to send', async () => {
  const saving = createSaving(saved(takeOf(), 1))
  expect([saving.state.value, saving.problem.value, saving.isUnsaved()]).toEqual([
    'saved',
    '',
    false,
  ])
  saving.send()
  saving.goOn()
  await turns()
  expect([saving.state.value, calls.length, kept()]).toEqual(['saved', 0, 0])
})

it('is unsaved from the moment of a change until the server has it', async () => {
  const late = later<unknown>()
  answer('PUT /api/takes/t1', () => late.promise)
  const saving = createSaving(saved(takeOf(), 1))
  saving.keep(dusk)
  expect([saving.state.value, saving.isUnsaved(), saving.newest(), kept()]).toEqual([
    'saving',
    true,
    dusk,
    1,
  ])
  await turns()
  late.release(saved(dusk, 2))
  await saving.settled()
  expect([saving.state.value, saving.isUnsaved(), saving.take.value.revision, kept()]).toEqual([
    'saved',
    false,
    2,
    0,
  ])
})

it('is unsaved while nobody knows whether a save has arrived, though it was taken back', async () => {
  answer('PUT /api/takes/t1', away)
  const opened = saved(takeOf(), 1)
  const saving = createSaving(opened)
  saving.keep(dusk)
  await turns()
  saving.keep(opened.document)
  expect(saving.isUnsaved()).toBe(true)
  takes()
  await vi.advanceTimersByTimeAsync(4000)
  expect(puts().map(levelOf).slice(-2)).toEqual(['AAA', 'AA'])
  expect(saving.isUnsaved()).toBe(false)
})

it('with changes that wait it is not saved, and is when they are made or given up', async () => {
  const saving = createSaving(saved(takeOf(), 1))
  saving.postpone([])
  expect(saving.state.value).toBe('saved')
  saving.postpone([INTENT])
  expect([saving.state.value, saving.isUnsaved(), kept()]).toEqual(['waiting', true, 1])
  saving.postpone([INTENT, INTENT])
  expect(saving.state.value).toBe('waiting')
  saving.keep(dusk)
  await saving.settled()
  expect([saving.state.value, saving.take.value.document.level]).toEqual(['waiting', 'AAA'])
  saving.postpone([])
  expect([saving.state.value, saving.isUnsaved(), kept()]).toEqual(['saved', false, 0])
})

it('says that it is saving while it is, whatever is postponed', async () => {
  const late = later<unknown>()
  answer('PUT /api/takes/t1', () => late.promise)
  const saving = createSaving(saved(takeOf(), 1))
  saving.keep(dusk)
  await turns()
  saving.postpone([INTENT])
  expect(saving.state.value).toBe('saving')
  saving.postpone([])
  expect(saving.state.value).toBe('saving')
  late.release(saved(dusk, 2))
  await saving.settled()
  expect(saving.state.value).toBe('saved')
})

it('with a save that is still to be sent it goes on waiting when no change waits any more', async () => {
  answer('PUT /api/takes/t1', away)
  const saving = createSaving(saved(takeOf(), 1))
  saving.keep(dusk)
  saving.postpone([INTENT])
  await turns()
  expect(saving.state.value).toBe('waiting')
  saving.postpone([])
  expect(saving.state.value).toBe('waiting')
})

it('goes on where it waited or the take was gone, and nowhere else', async () => {
  answer('PUT /api/takes/t1', away)
  const saving = createSaving(saved(takeOf(), 1))
  saving.keep(dusk)
  await turns()
  takes()
  saving.goOn()
  await saving.settled()
  expect(saving.state.value).toBe('saved')

  answer('PUT /api/takes/t1', () => new Refusal({ status: 410, detail: 'It was deleted.' }))
  saving.keep(noon)
  await saving.settled()
  expect([saving.state.value, saving.problem.value]).toEqual(['removed', 'It was deleted.'])
  takes(2)
  const before = puts().length
  saving.keep(takeOf({ level: 'A' }))
  await turns()
  // While it is gone nothing is sent, until somebody opens it again.
  expect(puts()).toHaveLength(before)
  saving.goOn()
  await saving.settled()
  expect([saving.state.value, puts().length]).toEqual(['saved', before + 1])

  answer('PUT /api/takes/t1', () => new Refusal({ status: 422, detail: 'Too many pairs.' }))
  saving.keep(noon)
  await saving.settled()
  const refused = puts().length
  saving.goOn()
  await turns()
  expect([saving.state.value, puts().length]).toEqual(['refused', refused])
})

it('stops at the state of another window, whatever is changed here', async () => {
  const theirs = saved(noon, 5)
  answer('PUT /api/takes/t1', () => new Refusal({ status: 409, detail: 'Changed.', take: theirs }))
  const saving = createSaving(saved(takeOf(), 1))
  saving.keep(dusk)
  await saving.settled()
  saving.keep(takeOf({ level: 'A' }))
  saving.goOn()
  await turns()
  expect([saving.state.value, puts().length, saving.conflict.value?.revision]).toEqual([
    'conflict',
    1,
    5,
  ])
  saving.postpone([INTENT])
  saving.forget()
  expect([saving.state.value, saving.intents.value, saving.conflict.value, kept()]).toEqual([
    'saved',
    [],
    undefined,
    0,
  ])
})

it('brought back, it sends what was refused, and says nothing more of it', async () => {
  answer('PUT /api/takes/t1', () => new Refusal({ status: 410, detail: 'It was deleted.' }))
  answer('POST /api/takes/t1/restoration', () => saved(takeOf(), 1))
  const saving = createSaving(saved(takeOf(), 1))
  saving.keep(dusk)
  await saving.settled()
  takes()
  const restored = saving.restore()
  await turns()
  await restored
  expect(saving.problem.value).toBe('')
  await saving.settled()
  expect([saving.state.value, puts().map(levelOf)]).toEqual(['saved', ['AAA', 'AAA']])
})

it('goes on with what a window has left, and sends what is on its way once', async () => {
  const left = { document: dusk, revision: 3, intents: [] }
  const same = createSaving(saved(takeOf(), 3))
  const pending = { document: JSON.parse(JSON.stringify(dusk)) as TakeDocument, revision: 3 }
  same.resume({ ...left, pending })
  await same.settled()
  expect([puts().map(levelOf), same.isUnsaved()]).toEqual([['AAA'], false])

  const other = createSaving(saved(takeOf(), 3))
  other.resume({ ...left, pending: { document: noon, revision: 3 } })
  await other.settled()
  expect(puts().map(levelOf)).toEqual(['AAA', 'A', 'AAA'])
})

it('leaves to the user what is in conflict when a window’s rest is found', async () => {
  const theirs = saved(noon, 5)
  answer('PUT /api/takes/t1', () => new Refusal({ status: 409, detail: 'Changed.', take: theirs }))
  const saving = createSaving(saved(takeOf(), 1))
  saving.keep(dusk)
  await saving.settled()
  saving.resume({ document: dusk, revision: 1, pending: null, intents: [] })
  await turns()
  expect([saving.state.value, puts().length]).toEqual(['conflict', 1])
})
