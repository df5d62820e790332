/** Gestures and whole changes: each is one step, from where it began. */
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, expect, it } from 'vitest'
import { watch } from 'vue'
import { useChange } from '@/take/useChange'
import { useTakeStore } from '@/take/take'
import { endScope, inScope } from '@/testing/scopes'
import {
  answerBySwatch,
  askedChroma,
  change,
  changesAsked,
  named,
  openTake,
} from '@/testing/changes'
import { answer, calls, Refusal, settled } from '@/testing/server'
import { figuresOf, takeOf } from '@/testing/takes'
import type { TakeDocument } from '@/api/types'

beforeEach(openTake)

it('a gesture is one step from where it began, however much of it was shown', async () => {
  const take = useTakeStore()
  const gesture = inScope(useChange)
  gesture.show(change(0.1))
  await Promise.resolve()
  for (const chroma of [0.2, 0.3]) gesture.show(change(chroma))
  await settled()
  expect(take.shown?.swatches[0]?.name).toBe('chroma 0.3')
  expect([take.document?.swatches[0]?.name, take.canUndo]).toEqual(['Night', false])
  // Of those that came while the first was on its way only the newest was asked for.
  expect(changesAsked().map(({ body }) => askedChroma(body))).toEqual([0.1, 0.3])
  gesture.show(change(0.4))
  await settled()
  for (const { body } of changesAsked())
    expect((body as { document: TakeDocument }).document).toEqual(takeOf())
  await gesture.keep()
  expect([take.document?.swatches[0]?.name, take.canUndo]).toEqual(['chroma 0.4', true])
  expect(gesture.said.value).toEqual(['to 0.4'])
  take.undo()
  expect(take.document).toEqual(takeOf())
})

it('a gesture that is given up leaves nothing', async () => {
  const take = useTakeStore()
  const gesture = inScope(useChange)
  gesture.show(change(0.1))
  await settled()
  gesture.drop()
  expect([take.preview, take.canUndo]).toEqual([undefined, false])
  gesture.show(change(0.2))
  endScope()
  await settled()
  expect(take.preview).toBeUndefined()
})

it('a refusal is said and changes nothing', async () => {
  answer('POST /api/changes', () => new Refusal({ status: 422, detail: 'Chroma may be 0 to 0.5.' }))
  const gesture = inScope(useChange)
  await gesture.make(change(9))
  expect(gesture.problem.value).toBe('Chroma may be 0 to 0.5.')
  expect(useTakeStore().canUndo).toBe(false)
})

it('whole changes wait for one another, each from what the one before made', async () => {
  const gesture = inScope(useChange)
  await Promise.all([
    gesture.make(change(0.1)),
    gesture.make(() => undefined),
    gesture.make(change(0.2)),
  ])
  const froms = changesAsked().map(
    ({ body }) => (body as { document: TakeDocument }).document.swatches[0]?.name,
  )
  expect(froms).toEqual(['Night', 'chroma 0.1'])
})

it('what can’t reach the server waits as it was meant, and is made in order when it is back', async () => {
  const take = useTakeStore()
  const gesture = inScope(useChange)
  answer('POST /api/changes', () => {
    throw new TypeError('offline')
  })
  await gesture.make(change(0.1))
  for (const chroma of [0.2, 0.3]) gesture.show(change(chroma))
  await gesture.keep()
  await gesture.make(change(0.4))
  expect([take.waitingChanges, take.saveState, gesture.problem.value]).toEqual([
    3,
    'waiting',
    expect.stringContaining('The change is kept') as string,
  ])
  expect(take.document).toEqual(takeOf())
  // Over a reload as well: the browser has them.
  expect(Object.values(localStorage).join()).toContain('"chroma":0.3')
  take.undo()
  expect(take.waitingChanges).toBe(2)
  answer('POST /api/changes', ({ body }) => {
    const { document: from } = body as { document: TakeDocument }
    const document = named(`${from.swatches[0]?.name ?? ''}, ${askedChroma(body).toString()}`)
    return { document, said: [], evaluation: figuresOf(document) }
  })
  take.replay()
  await settled()
  expect([take.document?.swatches[0]?.name, take.waitingChanges, take.saveState]).toEqual([
    'Night, 0.1, 0.3',
    0,
    'saved',
  ])
})

it('a change that waited and can’t be made any more is said, and the next one made', async () => {
  const take = useTakeStore()
  const gesture = inScope(useChange)
  answer('POST /api/changes', () => new Refusal({ status: 503, detail: 'Not now.' }))
  await gesture.make(change(9))
  await gesture.make(change(0.2))
  answer('POST /api/changes', ({ body }) => {
    if (askedChroma(body) > 1)
      return new Refusal({ status: 422, detail: 'Chroma may be 0 to 0.5.' })
    const document = named('made')
    return { document, said: [], evaluation: figuresOf(document) }
  })
  take.replay()
  await settled()
  expect([take.document?.swatches[0]?.name, take.replayProblem]).toEqual([
    'made',
    'A change that waited could not be made. Chroma may be 0 to 0.5.',
  ])
})

it('changes of two places wait for one another', async () => {
  const take = useTakeStore()
  const [one, other] = [inScope(useChange), inScope(useChange)]
  await Promise.all([one.make(change(0.1)), other.make(change(0.2))])
  const froms = changesAsked().map(
    ({ body }) => (body as { document: TakeDocument }).document.swatches[0]?.name,
  )
  expect(froms).toEqual(['Night', 'chroma 0.1'])
  expect(take.document?.swatches[0]?.name).toBe('chroma 0.2')
})

it('a change that was asked for is made, though the part that asked for it is gone', async () => {
  const take = useTakeStore()
  const gesture = inScope(useChange)
  const both = [gesture.make(change(0.1)), gesture.make(change(0.2))]
  endScope()
  await Promise.all(both)
  expect(take.document?.swatches[0]?.name).toBe('chroma 0.2')
})

it('a problem is said in the frame, where whoever asked has no place for it', async () => {
  const take = useTakeStore()
  answer('POST /api/changes', () => new Refusal({ status: 422, detail: 'It is in use.' }))
  await inScope(useChange).make(change(9))
  expect(take.changeProblem).toBe('It is in use.')
  take.changeProblem = ''
  const own = inScope(() => useChange({ saysItself: true }))
  await own.make(change(9))
  expect([take.changeProblem, own.problem.value]).toEqual(['', 'It is in use.'])
})

it('a change that changes nothing is no step, and nothing is asked without a take', async () => {
  const take = useTakeStore()
  const gesture = inScope(useChange)
  answer('POST /api/changes', ({ body }) => {
    const { document } = body as { document: TakeDocument }
    return { document, said: [], evaluation: figuresOf(document) }
  })
  await gesture.make(change(0.1))
  expect(take.canUndo).toBe(false)
  await gesture.make(() => change(0.2))
  expect(changesAsked()).toHaveLength(2)
  setActivePinia(createPinia())
  await inScope(useChange).make(change(0.3))
  expect(changesAsked()).toHaveLength(2)
})

it('what is equal in an answer stays the same object', async () => {
  const take = useTakeStore()
  const gesture = inScope(useChange)
  const before = take.document
  answerBySwatch()
  gesture.show(change(0.1))
  await settled()
  expect(take.shown?.swatches).toBe(before?.swatches)
  expect(take.shown).not.toBe(before)
})

it('after a gesture its own figures stay, without the ones before it in between', async () => {
  const take = useTakeStore()
  const gesture = inScope(useChange)
  const seen: (number | undefined)[] = []
  gesture.show(change(0.1))
  await settled()
  calls.length = 0
  const stop = watch(
    () => [take.shown?.swatches[0]?.name, take.evaluation?.counts.fails],
    ([, failing]) => seen.push(failing as number),
    { flush: 'sync' },
  )
  await gesture.keep()
  await settled()
  stop()
  // The change has one swatch, what was there before three; figures say how many.
  expect(new Set(seen)).toEqual(seen.length ? new Set([1]) : new Set())
  expect(calls.filter(({ path }) => path === '/api/evaluate')).toEqual([])
})
