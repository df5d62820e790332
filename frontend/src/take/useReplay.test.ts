/** Changes that waited for the server: made in order, of what the take is by then, and none of them lost. */
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { effectScope, nextTick, shallowRef } from 'vue'
import type { EffectScope } from 'vue'
import type { TakeChange, TakeDocument } from '@/api/types'
import type { Saving } from '@/take/saving'
import { inScheme } from '@/take/scheme'
import type { Intent } from '@/take/unsent'
import { useReplay } from '@/take/useReplay'
import { answer, calls, later, Refusal } from '@/testing/server'
import { figuresOf, swatch, takeOf } from '@/testing/takes'

const named = (name: string): TakeDocument => takeOf({ swatches: [swatch('s1', name, '#2b3a8c')] })
const nameOf = (document: TakeDocument | undefined) => document?.swatches[0]?.name
const intent = (name: string, scheme: Intent['scheme'] = 'day'): Intent => ({
  change: { kind: 'own role', name, swatch: 's1', step: null },
  scheme,
})
interface Asked {
  document: TakeDocument
  change: TakeChange & { name: string }
}
const asked = () =>
  calls
    .filter(({ path }) => path === '/api/changes')
    .map(({ body }) => body as Asked)
    .map(({ document, change }) => `${change.name} of ${nameOf(document) ?? ''}`)

function saving() {
  const intents = shallowRef<readonly Intent[]>([])
  const sent = vi.fn()
  const postpone = (waiting: readonly Intent[]) => (intents.value = waiting)
  return { intents, sent, of: { intents, postpone, send: sent } as unknown as Saving }
}

let scope: EffectScope
function opened(waiting: readonly Intent[] = []) {
  const own = saving()
  own.intents.value = waiting
  const now = shallowRef<Saving | undefined>(own.of)
  const kept = shallowRef<TakeDocument | undefined>(named('Night'))
  const change = vi.fn((next: TakeDocument) => (kept.value = inScheme(next, 'day')))
  const replay = scope.run(() => useReplay({ saving: now, kept, change }))
  if (!replay) throw new Error('the scope has ended')
  return { own, now, kept, change, replay }
}
/** Until every answer that can come has come; the clock of waiting stands still. */
const turns = () => vi.advanceTimersByTimeAsync(0)
const made = ({ document, change }: Asked) => {
  const after = { ...document, swatches: [swatch('s1', change.name, '#2b3a8c')] }
  return { document: after, said: [], evaluation: figuresOf(after) }
}
const away = () => {
  throw new TypeError('away')
}

beforeEach(() => {
  vi.useFakeTimers()
  scope = effectScope()
  answer('POST /api/changes', ({ body }) => made(body as Asked))
})
afterEach(() => {
  scope.stop()
  vi.useRealTimers()
})

it('begins with nothing to say and nothing to do', async () => {
  const { replay, change } = opened()
  expect([replay.problem.value, replay.count.value, replay.takeBack()]).toEqual(['', 0, false])
  replay.start()
  await turns()
  expect([calls.length, change.mock.calls.length]).toEqual([0, 0])
})

it('makes them in order, each of what the one before made, with its figures', async () => {
  const { replay, change, own } = opened([intent('a'), intent('b')])
  replay.start()
  replay.start()
  await turns()
  expect(asked()).toEqual(['a of Night', 'b of a'])
  expect(change.mock.calls).toEqual([
    [
      made({ document: named('Night'), change: { name: 'a' } } as Asked).document,
      expect.anything(),
    ],
    [made({ document: named('a'), change: { name: 'b' } } as Asked).document, expect.anything()],
  ])
  expect([own.intents.value, replay.count.value]).toEqual([[], 0])
})

it('asks in the scheme in which it was wanted', async () => {
  const { replay, kept } = opened([intent('a', 'night')])
  kept.value = { ...named('Night'), other: { roles: [], pairs: [], grounds: [] } }
  replay.start()
  await turns()
  expect((calls.at(-1)?.body as Asked).document.scheme).toBe('night')
})

it('tries again after some seconds, and at once where the line is back', async () => {
  answer('POST /api/changes', away)
  const { replay, own } = opened()
  replay.postpone(intent('a'))
  expect(own.intents.value).toEqual([intent('a')])
  await turns()
  expect(asked()).toEqual([])
  await vi.advanceTimersByTimeAsync(4000)
  expect(asked()).toHaveLength(1)
  await vi.advanceTimersByTimeAsync(3999)
  expect(asked()).toHaveLength(1)
  await vi.advanceTimersByTimeAsync(1)
  expect(asked()).toHaveLength(2)
  expect([own.sent.mock.calls.length, replay.problem.value]).toEqual([0, ''])
  answer('POST /api/changes', ({ body }) => made(body as Asked))
  globalThis.dispatchEvent(new Event('online'))
  await turns()
  expect([asked().length, own.sent.mock.calls.length, replay.count.value]).toEqual([3, 1, 0])
  // The try that was still to come is not made.
  await vi.advanceTimersByTimeAsync(20_000)
  expect(asked()).toHaveLength(3)
})

it('says what is refused, gives it up, and makes the next one', async () => {
  answer('POST /api/changes', ({ body }) =>
    (body as Asked).change.name === 'a'
      ? new Refusal({ status: 422, detail: 'There is no such swatch.' })
      : made(body as Asked),
  )
  const { replay, kept } = opened([intent('a'), intent('b')])
  replay.start()
  await turns()
  expect(replay.problem.value).toBe(
    'A change that waited could not be made. There is no such swatch.',
  )
  expect([nameOf(kept.value), replay.count.value]).toEqual(['b', 0])
})

it.each([
  [
    'made',
    'b of a',
    (): unknown => made({ document: named('Night'), change: { name: 'a' } } as Asked),
  ],
  ['refused', 'b of Night', (): unknown => new Refusal({ status: 422, detail: 'No.' })],
])('loses nothing that is asked for until another one is %s', async (_, next, said) => {
  const late = later<unknown>()
  answer('POST /api/changes', () => late.promise)
  const { replay, kept } = opened([intent('a')])
  replay.start()
  await turns()
  replay.postpone(intent('b'))
  answer('POST /api/changes', ({ body }) => made(body as Asked))
  late.release(said())
  await turns()
  expect([asked().at(-1), nameOf(kept.value), replay.count.value]).toEqual([next, 'b', 0])
})

it('is made again of what the take has become meanwhile', async () => {
  const late = later<unknown>()
  answer('POST /api/changes', () => late.promise)
  const { replay, kept } = opened([intent('a')])
  replay.start()
  await turns()
  kept.value = named('Renamed')
  answer('POST /api/changes', ({ body }) => made(body as Asked))
  late.release(made({ document: named('Night'), change: { name: 'a' } } as Asked))
  await turns()
  expect(asked()).toEqual(['a of Night', 'a of Renamed'])
})

it('is not made where it was taken back meanwhile, whatever the answer is', async () => {
  for (const said of [
    made({ document: named('Night'), change: { name: 'a' } } as Asked),
    new Refusal({ status: 422, detail: 'No.' }),
  ]) {
    const late = later<unknown>()
    answer('POST /api/changes', () => late.promise)
    const { replay, own, change } = opened([intent('a')])
    replay.start()
    await turns()
    expect(replay.takeBack()).toBe(true)
    own.intents.value = [intent('b')]
    answer('POST /api/changes', ({ body }) => made(body as Asked))
    late.release(said)
    await turns()
    expect(change.mock.calls.map(([next]) => nameOf(next))).toEqual(['b'])
  }
})

it('of several the newest is taken back', () => {
  const { replay, own } = opened([intent('a'), intent('b')])
  expect([replay.takeBack(), own.intents.value]).toEqual([true, [intent('a')]])
})

it.each([
  ['an answer', (): unknown => made({ document: named('Night'), change: { name: 'a' } } as Asked)],
  ['a refusal', (): unknown => new Refusal({ status: 422, detail: 'No.' })],
])('with another take open, %s for the one before changes neither', async (_, said) => {
  const late = later<unknown>()
  answer('POST /api/changes', () => late.promise)
  const { replay, now, own, change } = opened([intent('a')])
  replay.start()
  await turns()
  const other = saving()
  now.value = other.of
  await nextTick()
  late.release(said())
  await turns()
  expect(change).not.toHaveBeenCalled()
  expect([own.intents.value, other.intents.value]).toEqual([[intent('a')], []])
})

it('asks nothing while no take is open', async () => {
  const { replay, now, kept } = opened([intent('a')])
  kept.value = undefined
  replay.start()
  await turns()
  now.value = undefined
  expect(replay.count.value).toBe(0)
  replay.postpone(intent('b'))
  globalThis.dispatchEvent(new Event('online'))
  await vi.advanceTimersByTimeAsync(10_000)
  expect(calls).toEqual([])
})

it('ends with whoever asked for it', async () => {
  answer('POST /api/changes', away)
  const { replay } = opened()
  replay.postpone(intent('a'))
  scope.stop()
  await vi.advanceTimersByTimeAsync(20_000)
  expect(asked()).toEqual([])
})
