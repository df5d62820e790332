/** Gestures, proposals, figures: whatever the order in which answers come, the newest counts. */
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, expect, it } from 'vitest'
import { effectScope, nextTick, ref, shallowRef, watch } from 'vue'
import type { EffectScope } from 'vue'
import type { Choice, Source, TakeChange, TakeDocument } from '@/api/types'
import { api, given } from '@/api/client'
import { useAnswer, useUnanswered } from '@/ui/useAnswer'
import { useChange } from '@/take/useChange'
import { useEvaluation } from '@/take/useEvaluation'
import { useProposal } from '@/source/useProposal'
import { useTakeStore } from '@/take/take'
import { answer, calls, later, Refusal, settled } from '@/testing/server'
import { figuresOf, saved, swatch, takeOf, assigned } from '@/testing/takes'

let scope: EffectScope
const inScope = <T>(work: () => T): T => {
  scope = effectScope()
  const result = scope.run(work)
  if (result === undefined) throw new Error('the scope has ended')
  return result
}
const named = (name: string): TakeDocument => takeOf({ swatches: [swatch('s1', name, '#2b3a8c')] })
const change = (chroma: number): TakeChange => ({
  kind: 'place',
  swatch: 's1',
  chroma,
  hue: 0,
  lightness: null,
  position: null,
  settle: false,
})
const askedChroma = (body: unknown) => (body as { change: { chroma: number } }).change.chroma
const changesAsked = () => calls.filter(({ path }) => path === '/api/changes')

beforeEach(async () => {
  setActivePinia(createPinia())
  answer('GET /api/takes/t1', () => saved(takeOf(), 1))
  answer('POST /api/evaluate', (call) =>
    figuresOf((call.body as { document: TakeDocument }).document),
  )
  answer('PUT /api/takes/t1', (call) =>
    saved((call.body as { document: TakeDocument }).document, 2),
  )
  answer('POST /api/changes', ({ body }) => {
    const document = named(`chroma ${askedChroma(body).toString()}`)
    return {
      document,
      said: [`to ${askedChroma(body).toString()}`],
      evaluation: figuresOf(document),
    }
  })
  await useTakeStore().open('t1')
  await settled()
})

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
  scope.stop()
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

/** The change as it was asked for, applied to whatever document came with it. */
const answerBySwatch = () => {
  answer('POST /api/changes', ({ body }) => {
    const { document } = body as { document: TakeDocument }
    const made = { ...document, level: 'AAA' as const }
    return { document: made, said: [], evaluation: figuresOf(made) }
  })
}

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
  scope.stop()
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
  scope.stop()
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
    () => [take.shown?.swatches[0]?.name, take.evaluation?.failing],
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

it('figures that were asked for before another take was opened are not shown for it', async () => {
  const document = shallowRef<TakeDocument | undefined>(takeOf())
  const slow = later<null>()
  answer('POST /api/evaluate', async (call) => {
    await slow.promise
    return figuresOf((call.body as { document: TakeDocument }).document)
  })
  const { evaluation } = inScope(() => useEvaluation(document))
  document.value = undefined
  document.value = takeOf({ swatches: [] })
  const seen: (number | undefined)[] = []
  const stop = watch(evaluation, (now) => seen.push(now?.failing), { flush: 'sync' })
  slow.release(null)
  await settled()
  stop()
  expect(seen).toEqual([0])
})

it('figures are those of the newest document, and none where there is none', async () => {
  const document = shallowRef<TakeDocument | undefined>(takeOf())
  const slow = later<null>()
  answer('POST /api/evaluate', async (call) => {
    await slow.promise
    return figuresOf((call.body as { document: TakeDocument }).document)
  })
  calls.length = 0
  const { evaluation } = inScope(() => useEvaluation(document))
  for (const swatches of [[], takeOf().swatches.slice(0, 1), takeOf().swatches.slice(0, 2)]) {
    document.value = takeOf({ swatches })
    await nextTick()
  }
  slow.release(null)
  await settled()
  expect(evaluation.value?.failing).toBe(2)
  expect(calls).toHaveLength(2)
  document.value = undefined
  await nextTick()
  expect(evaluation.value).toBeUndefined()
})

const found = (hex: string, share: number, changes = {}) => ({
  hex,
  name: hex,
  share,
  ground_share: 0,
  is_stop: false,
  picked: false,
  role: null,
  ...changes,
})
const LOGO = {
  id: 'x1',
  name: 'logo.svg',
  kind: 'image',
  image: {},
  colors: [
    found('#2b3a8c', 0.3),
    found('#ffffff', 0.6, { ground_share: 0.5 }),
    found('#d7b13c', 0.09),
    found('#777777', 0.001),
  ],
} as unknown as Source
type Asked = { colors: { hex: string; share: number; choice: Choice | null }[] }

it('a proposal leaves the ground out, asks for what is seen, and takes a choice back from who had it', async () => {
  const proposed = takeOf()
  answer('POST /api/proposals', ({ body }) => ({
    roles: [],
    choices: (body as Asked).colors.map(({ choice }) => choice ?? 'keep'),
    impossible: [],
    document: proposed,
  }))
  const { offers, choose, leaveOutGround } = inScope(() =>
    useProposal(ref(LOGO), shallowRef(takeOf({ swatches: [], roles: [], pairs: [] }))),
  )
  await settled()
  expect(offers.value.map(({ color, share }) => [color.hex, share])).toEqual([
    ['#2b3a8c', expect.closeTo(0.6, 9) as number],
    ['#ffffff', expect.closeTo(0.2, 9) as number],
    ['#d7b13c', expect.closeTo(0.18, 9) as number],
  ])
  choose('#2b3a8c', 'primary')
  await settled()
  choose('#d7b13c', 'primary')
  await settled()
  expect((calls.at(-1)?.body as Asked).colors.map(({ choice }) => choice)).toEqual([
    'keep',
    'keep',
    'primary',
  ])
  leaveOutGround.value = false
  await settled()
  expect(offers.value.map(({ color }) => color.hex)[0]).toBe('#ffffff')
})

it('what is built is what is proposed to the newest choice, also while it is on its way', async () => {
  const take = shallowRef(
    takeOf({
      swatches: [swatch('s1', 'Night', '#2b3a8c')],
      roles: [assigned('primary', 's1')],
      pairs: [],
    }),
  )
  const proposal = (document: TakeDocument) => ({
    roles: [],
    choices: [],
    impossible: [],
    document,
  })
  answer('POST /api/proposals', () => proposal(take.value))
  const { current, isAsProposed, isBuilt } = inScope(() => useProposal(ref(LOGO), take))
  await settled()
  expect([isBuilt.value, isAsProposed.value]).toEqual([true, true])
  const slow = later<TakeDocument>()
  answer('POST /api/proposals', async () => proposal(await slow.promise))
  take.value = takeOf()
  const built = current()
  await settled()
  expect(isAsProposed.value).toBe(true)
  slow.release(named('Newest'))
  expect((await built)?.swatches[0]?.name).toBe('Newest')
  expect(isAsProposed.value).toBe(false)
})

it('a question without an answer is said, asked again with all others, and forgotten with its view', async () => {
  const { problem, askAgain } = useUnanswered()
  answer('GET /api/brands', () => {
    throw new TypeError('offline')
  })
  const read = () => given(api.GET('/api/brands'))
  const { answer: brands } = inScope(() => useAnswer(read))
  await settled()
  expect(problem.value).toContain('can’t be reached')
  answer('GET /api/brands', () => new Refusal({ status: 429, detail: 'Too many at once.' }))
  askAgain()
  await settled()
  expect(problem.value).toBe('Too many at once.')
  answer('GET /api/brands', () => ({ brands: [] }))
  askAgain()
  await settled()
  expect([problem.value, brands.value]).toEqual(['', { brands: [] }])
  answer('GET /api/brands', () => new Refusal({ status: 500, detail: 'It broke.' }))
  inScope(() => useAnswer(read))
  await settled()
  expect(problem.value).toBe('It broke.')
  scope.stop()
  expect(problem.value).toBe('')
})

it('an answer to an older asking is not taken', async () => {
  const first = later<string>()
  const waiting = [first.promise, Promise.resolve('second')]
  const { answer: text, ask } = inScope(() => useAnswer(() => waiting.shift() ?? first.promise))
  await ask()
  first.release('first')
  await settled()
  expect(text.value).toBe('second')
})

it('where a proposal fails, the one before it is not built', async () => {
  const take = shallowRef(takeOf())
  answer('POST /api/proposals', () => ({
    roles: [],
    choices: [],
    impossible: [],
    document: named('Before'),
  }))
  const { current, proposal } = inScope(() => useProposal(ref(LOGO), take))
  await settled()
  expect(proposal.value).toBeDefined()
  answer('POST /api/proposals', () => new Refusal({ status: 503, detail: 'Not now.' }))
  take.value = takeOf({ level: 'AAA' })
  expect(await current()).toBeUndefined()
  expect(useUnanswered().problem.value).toBe('Not now.')
  answer('POST /api/proposals', () => ({
    roles: [],
    choices: [],
    impossible: [],
    document: named('After'),
  }))
  useUnanswered().askAgain()
  expect((await current())?.swatches[0]?.name).toBe('After')
})
