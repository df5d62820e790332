/** Takes that are left and opened again, and the store before there is one: nothing ends up elsewhere. */
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, expect, it } from 'vitest'
import type { TakeChange, TakeDocument } from '@/api/types'
import { EMPTY_TAKE } from '@/api/constants'
import { useTakeStore } from '@/take/take'
import type { Unsent } from '@/take/unsent'
import { answer, calls, later, Refusal, settled } from '@/testing/server'
import { figuresOf, saved, takeOf } from '@/testing/takes'

const named = (name: string): TakeDocument => {
  const [first, ...rest] = takeOf().swatches
  return takeOf({ swatches: first ? [{ ...first, name }, ...rest] : rest })
}
const nameOf = (take: TakeDocument | undefined) => take?.swatches[0]?.name
const bodyOf = (body: unknown) => body as { document: TakeDocument; revision: number }
const putsOf = (id: string) =>
  calls.filter(({ method, path }) => method === 'PUT' && path.endsWith(id))
const STATES: TakeChange = { kind: 'states' }
const away = () => {
  throw new TypeError('away')
}
const unsentOf = (id: string) =>
  Object.keys(localStorage)
    .filter((key) => key.startsWith(`tonada-unsent-${id}_`))
    .map((key) => JSON.parse(localStorage.getItem(key) ?? '') as Unsent)

beforeEach(() => {
  setActivePinia(createPinia())
  for (const id of ['t1', 't2']) {
    answer(`GET /api/takes/${id}`, () => ({ ...saved(named(id), 1), id, name: `Take ${id}` }))
    answer(`PUT /api/takes/${id}`, ({ body }) => ({
      ...saved(bodyOf(body).document, bodyOf(body).revision + 1),
      id,
    }))
  }
  answer('POST /api/evaluate', ({ body }) => figuresOf(bodyOf(body).document))
})

async function opened(id = 't1') {
  const take = useTakeStore()
  await take.open(id)
  await settled()
  return take
}

it('without a take there is nothing, and nothing happens', async () => {
  const take = useTakeStore()
  expect([take.saveState, take.saveProblem, take.changeProblem, take.replayProblem]).toEqual([
    'saved',
    '',
    '',
    '',
  ])
  expect([take.scheme, take.failing, take.isEmpty, take.isRefused]).toEqual([
    'day',
    0,
    false,
    false,
  ])
  expect([take.canUndo, take.canRedo, take.waitingChanges, take.unsavedElsewhere]).toEqual([
    false,
    false,
    0,
    [],
  ])
  take.change(named('x'))
  take.undo()
  take.redo()
  take.takeTheirs()
  expect([take.document, take.shown, take.begin(), await take.keepMine()]).toEqual([
    undefined,
    undefined,
    undefined,
    undefined,
  ])
  await take.allSaved()
  await take.bringBack()
  await take.cutVersion('x')
  expect(calls).toEqual([])
})

it('an empty take is known as one, and how many pairs fail is that of the figures', async () => {
  const take = await opened()
  expect([take.isEmpty, take.failing]).toEqual([false, 3])
  take.change(EMPTY_TAKE)
  await settled()
  expect([take.isEmpty, take.failing]).toEqual([true, 0])
})

it('a new take is empty, or what it is made from, and belongs to the brand', async () => {
  const take = await opened()
  answer('POST /api/brands/b1/takes', ({ body }) => saved(bodyOf(body).document, 1))
  await take.createEmpty()
  await take.createFrom(named('Copy'))
  const made = calls.filter(({ path }) => path === '/api/brands/b1/takes')
  expect(made.map(({ body }) => nameOf(bodyOf(body).document))).toEqual([undefined, 'Copy'])
})

it('a version is by hand where nothing else is said, and one before something large is not', async () => {
  const take = await opened()
  answer('POST /api/takes/t1/versions', () => ({}))
  await take.cutVersion('By hand')
  await take.cutBefore(take.begin(), 'Before it')
  const made = calls.filter(({ path }) => path.endsWith('/versions'))
  expect(made.map(({ body }) => (body as { is_automatic: boolean }).is_automatic)).toEqual([
    false,
    true,
  ])
})

it('what can’t be saved when a take is left is named, and gone from there once it is saved', async () => {
  const take = await opened()
  answer('PUT /api/takes/t1', away)
  take.change(named('Mine'))
  await settled()
  await take.open('t2')
  await take.open('t2')
  expect(take.unsavedElsewhere).toEqual(['Take t1'])
  // What was left is shown, and not what the server still has.
  await take.open('t1')
  expect([nameOf(take.document), take.unsavedElsewhere]).toEqual(['Mine', []])
  answer('PUT /api/takes/t1', ({ body }) => saved(bodyOf(body).document, 2))
  answer('GET /api/takes/t1', () => saved(named('Mine'), 2))
  await take.open('t2')
  await take.open('t1')
  await settled()
  expect([nameOf(take.document), take.saveState]).toEqual(['Mine', 'saved'])
})

it('of what was saved after it was left and what is found, the newer one is shown', async () => {
  const take = await opened()
  for (const [revision, shown] of [
    [1, 'Mine'],
    [3, 'Theirs'],
  ] as const) {
    answer('GET /api/takes/t1', () => saved(named('t1'), 1))
    await take.open('t1')
    const slow = later<null>()
    answer('PUT /api/takes/t1', async ({ body }) => {
      await slow.promise
      return saved(bodyOf(body).document, 2)
    })
    take.change(named('Mine'))
    await settled()
    await take.open('t2')
    slow.release(null)
    await settled()
    expect(take.unsavedElsewhere).toEqual([])
    answer('GET /api/takes/t1', () => saved(named('Theirs'), revision))
    await take.open('t1')
    expect(nameOf(take.document)).toBe(shown)
    await take.open('t2')
  }
})

it('a change that can’t be made when its take was left waits with that take', async () => {
  const take = await opened()
  const from = take.begin()
  await take.open('t2')
  if (!from) throw new Error('nothing was open')
  take.postpone(STATES, from)
  take.postpone({ kind: 'night' }, from)
  expect([take.waitingChanges, take.unsavedElsewhere]).toEqual([0, ['Take t1']])
  expect(unsentOf('t2')).toEqual([])
  expect(unsentOf('t1')[0]?.intents.map(({ change }) => change.kind)).toEqual(['states', 'night'])
  answer('POST /api/changes', ({ body }) => {
    const document = { ...bodyOf(body).document, level: 'AAA' as const }
    return { document, said: [], evaluation: figuresOf(document) }
  })
  await take.open('t1')
  await settled()
  expect([take.waitingChanges, take.document?.level, take.unsavedElsewhere]).toEqual([0, 'AAA', []])
})

it('a change that waits can be taken back, and is refused while a version is looked at', async () => {
  const take = await opened()
  answer('POST /api/changes', away)
  const from = take.begin()
  if (!from) throw new Error('nothing is open')
  take.look({ number: 1, description: '', document: named('Dawn') })
  take.postpone(STATES, from)
  expect([take.waitingChanges, take.isRefused]).toEqual([0, true])
  take.look(undefined)
  take.postpone(STATES, from)
  expect([take.waitingChanges, take.canUndo]).toEqual([1, true])
  take.undo()
  expect([take.waitingChanges, take.canUndo, nameOf(take.document)]).toEqual([0, false, 't1'])
})

it('what waits goes along where mine is kept as a take of its own', async () => {
  const take = await opened()
  answer('POST /api/changes', away)
  const theirs = { ...saved(named('Theirs'), 7) }
  answer('PUT /api/takes/t1', () => new Refusal({ status: 409, detail: 'Changed.', take: theirs }))
  answer('POST /api/brands/b1/takes', ({ body }) => ({
    ...saved(bodyOf(body).document, 1),
    id: 't9',
  }))
  take.change(named('Mine'))
  await settled()
  await take.keepMine()
  expect(unsentOf('t9')).toEqual([])
  take.change(named('Mine again'))
  await settled()
  const from = take.begin()
  if (from) take.postpone(STATES, from)
  await take.keepMine()
  expect(unsentOf('t9')).toMatchObject([
    { revision: 1, pending: null, intents: [{ change: STATES }] },
  ])
  expect(unsentOf('t1')).toEqual([])
})

it('opens by day and without what was said before', async () => {
  const other = { roles: [], pairs: [], grounds: [] }
  answer('GET /api/takes/t1', () => saved(takeOf({ other }), 1))
  answer('GET /api/takes/t2', () => ({ ...saved(takeOf({ other }), 1), id: 't2' }))
  const take = await opened()
  take.scheme = 'night'
  take.changeProblem = 'It is in use.'
  take.look({ number: 1, description: '', document: named('Dawn') })
  take.change(named('x'))
  await take.open('t2')
  expect([take.scheme, take.changeProblem, take.isRefused, take.looking]).toEqual([
    'day',
    '',
    false,
    undefined,
  ])
})

it('a document that was shown stays the same object when it is kept', async () => {
  const take = await opened()
  const next = named('Dusk')
  take.change(next)
  expect(take.document).toBe(next)
  take.change(next)
  take.undo()
  expect([nameOf(take.document), take.canUndo]).toEqual(['t1', false])
  await settled()
  // It was taken back before it was sent.
  expect(putsOf('t1')).toEqual([])
})

it('what a window has left that is saved by now goes on with its changes that wait', async () => {
  const intents = [{ change: STATES, scheme: 'day' }]
  const left = { document: named('t1'), revision: 1, pending: null, intents }
  localStorage.setItem('tonada-unsent-t1_gone', JSON.stringify(left))
  answer('GET /api/takes/t1', () => saved(named('t1'), 6))
  answer('POST /api/changes', ({ body }) => {
    const document = { ...bodyOf(body).document, level: 'AAA' as const }
    return { document, said: [], evaluation: figuresOf(document) }
  })
  const take = await opened()
  await settled()
  expect([take.document?.level, take.waitingChanges]).toEqual(['AAA', 0])
  expect(putsOf('t1').map(({ body }) => bodyOf(body).revision)).toEqual([6])
  take.undo()
  expect([take.document?.level, take.canUndo]).toEqual(['AA', false])
})

it('a field that is set after the server was asked is set in its own take, as that is by then', async () => {
  const take = await opened()
  const set = (document: TakeDocument): TakeDocument => ({ ...document, level: 'AAA' })
  const from = take.begin()
  take.change(named('Renamed'))
  take.edit(from, set)
  expect([nameOf(take.document), take.document?.level]).toEqual(['Renamed', 'AAA'])
  await settled()
  await take.open('t2')
  take.edit(from, (document) => ({ ...document, level: 'A' }))
  await settled()
  expect([nameOf(take.document), take.document?.level]).toEqual(['t2', 'AA'])
  const sent = bodyOf(putsOf('t1').at(-1)?.body).document
  expect([nameOf(sent), sent.level]).toEqual(['Renamed', 'A'])
  expect(putsOf('t2')).toEqual([])
  take.edit(undefined, set)
  expect(take.canUndo).toBe(false)
})
