/** Answers that come late: they undo nothing, go into no other take, and what can’t be made waits. */
import { beforeEach, expect, it } from 'vitest'
import { useChange } from '@/take/useChange'
import { useTakeStore } from '@/take/take'
import { endScope, inScope } from '@/testing/scopes'
import { answerBySwatch, change, changesAsked, named, openTake } from '@/testing/changes'
import { answer, later, Refusal, settled } from '@/testing/server'
import { figuresOf, saved, takeOf } from '@/testing/takes'
import type { TakeDocument } from '@/api/types'

beforeEach(openTake)

it('what is changed while an answer is on its way stays, with the answer made again of it', async () => {
  const take = useTakeStore()
  const gesture = inScope(useChange)
  const onItsWay = later<unknown>()
  answer('POST /api/changes', () => onItsWay.promise)
  const made = gesture.make(change(0.1))
  await settled()
  take.change(named('Renamed'))
  answerBySwatch()
  onItsWay.release({ document: named('too old'), said: [], evaluation: figuresOf(takeOf()) })
  await made
  expect([take.document?.swatches[0]?.name, take.document?.level]).toEqual(['Renamed', 'AAA'])
  take.undo()
  expect([take.document?.swatches[0]?.name, take.document?.level]).toEqual(['Renamed', 'AA'])
})

it('a step that is taken back while an answer is on its way stays taken back', async () => {
  const take = useTakeStore()
  const gesture = inScope(useChange)
  take.change(named('Taken back'))
  const onItsWay = later<unknown>()
  answer('POST /api/changes', () => onItsWay.promise)
  const made = gesture.make(change(0.1))
  await settled()
  take.undo()
  answerBySwatch()
  const late = { ...named('Taken back'), level: 'AAA' as const }
  onItsWay.release({ document: late, said: [], evaluation: figuresOf(late) })
  await made
  expect([take.document?.swatches[0]?.name, take.document?.level]).toEqual(['Night', 'AAA'])
})

it('an answer goes into the take that it was asked for, whatever is open by then', async () => {
  const take = useTakeStore()
  const gesture = inScope(useChange)
  answer('GET /api/takes/t2', () => ({ ...saved(named('The other take'), 7), id: 't2' }))
  const puts: string[] = []
  answer('PUT /api/takes/t1', ({ body }) => {
    const { document } = body as { document: TakeDocument }
    puts.push(document.swatches[0]?.name ?? '')
    return saved(document, 2)
  })
  const onItsWay = later<unknown>()
  answer('POST /api/changes', () => onItsWay.promise)
  const made = gesture.make(change(0.1))
  await settled()
  await take.open('t2')
  const late = named('made late')
  onItsWay.release({ document: late, said: [], evaluation: figuresOf(late) })
  await made
  await settled()
  expect(take.document?.swatches[0]?.name).toBe('The other take')
  expect(take.shown?.swatches[0]?.name).toBe('The other take')
  expect(puts).toEqual(['made late'])
})

/** The line goes away after the first answer, which is too old by then. */
async function madeAgainWith(by: () => unknown) {
  const take = useTakeStore()
  const gesture = inScope(() => useChange({ saysItself: true }))
  const onItsWay = later<unknown>()
  answer('POST /api/changes', () => onItsWay.promise)
  const made = gesture.make(change(0.1))
  await settled()
  take.change(named('Renamed'))
  answer('POST /api/changes', by)
  onItsWay.release({ document: named('too old'), said: [], evaluation: figuresOf(takeOf()) })
  await made
  return { take, gesture }
}

it('waits for the server where it can’t be made again of what the take has become', async () => {
  const { take, gesture } = await madeAgainWith(() => {
    throw new TypeError('away')
  })
  expect([take.waitingChanges, take.document?.swatches[0]?.name]).toEqual([1, 'Renamed'])
  expect(gesture.problem.value).toContain('can’t be reached')
  answerBySwatch()
  take.replay()
  await settled()
  expect([take.waitingChanges, take.document?.level]).toEqual([0, 'AAA'])
  // Said no longer than it is true.
  expect(gesture.problem.value).toBe('')
})

it('says why it can’t be made of what the take has become', async () => {
  const { take, gesture } = await madeAgainWith(
    () => new Refusal({ status: 422, detail: 'There is no such swatch.' }),
  )
  expect([take.waitingChanges, take.document?.level]).toEqual([0, 'AA'])
  expect(gesture.problem.value).toBe('There is no such swatch.')
})

it('begins with nothing to say, and what is refused stays said while others wait and go', async () => {
  const take = useTakeStore()
  const gesture = inScope(() => useChange({ saysItself: true }))
  expect([gesture.problem.value, gesture.said.value]).toEqual(['', []])
  answer('POST /api/changes', () => new Refusal({ status: 422, detail: 'No.' }))
  await gesture.make(change(9))
  const from = take.begin()
  if (from) take.postpone(change(0.1), from)
  answerBySwatch()
  take.replay()
  await settled()
  expect([take.waitingChanges, gesture.problem.value]).toEqual([0, 'No.'])
})

it('asks nothing while others wait, and waits behind them', async () => {
  const take = useTakeStore()
  answer('POST /api/changes', () => {
    throw new TypeError('away')
  })
  const gesture = inScope(() => useChange({ saysItself: true }))
  await gesture.make(change(0.1))
  const before = changesAsked().length
  answerBySwatch()
  await gesture.make(change(0.2))
  expect([changesAsked().length, take.waitingChanges]).toEqual([before, 2])
})

it('of a gesture whose part is gone nothing more is asked or shown', async () => {
  const take = useTakeStore()
  const gesture = inScope(useChange)
  const onItsWay = later<unknown>()
  answer('POST /api/changes', () => onItsWay.promise)
  gesture.show(change(0.1))
  await settled()
  gesture.show(change(0.2))
  endScope()
  onItsWay.release({ document: named('late'), said: [], evaluation: figuresOf(takeOf()) })
  await settled()
  expect([changesAsked().length, take.preview, take.canUndo]).toEqual([1, undefined, false])
  gesture.show(change(0.3))
  await settled()
  expect(changesAsked()).toHaveLength(1)
})

it('what was given up is not shown when its answer comes', async () => {
  const take = useTakeStore()
  const gesture = inScope(useChange)
  const onItsWay = later<unknown>()
  answer('POST /api/changes', () => onItsWay.promise)
  gesture.show(change(0.1))
  await settled()
  gesture.drop()
  onItsWay.release({ document: named('late'), said: ['late'], evaluation: figuresOf(takeOf()) })
  await settled()
  expect([take.preview, gesture.said.value]).toEqual([undefined, []])
  await gesture.keep()
  expect(take.document).toEqual(takeOf())
})
