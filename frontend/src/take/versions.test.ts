/** Versions of a take: cut of what is saved, looked at in its place, and before what is large. */
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, expect, it } from 'vitest'
import type { Take, TakeDocument } from '@/api/types'
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

it('cuts a version of what is saved, once the last change has arrived', async () => {
  const take = await opened()
  answer('POST /api/takes/t1/versions', () => ({}))
  take.change(named('Dusk'))
  await take.cutVersion('Before it', true)
  expect(calls.slice(-2).map(({ method }) => method)).toEqual(['PUT', 'POST'])
  expect(calls.at(-1)?.body).toEqual({ description: 'Before it', is_automatic: true })
})

it('makes no version of a state that could not be saved', async () => {
  const take = await opened()
  answer('PUT /api/takes/t1', () => new Refusal({ status: 503, detail: 'Not now.' }))
  take.change(named('Dusk'))
  await expect(take.cutVersion('Before it')).rejects.toThrow('not saved yet')
  expect(calls.filter(({ path }) => path.endsWith('versions'))).toEqual([])
})

it('makes no version of the take that was opened while the one meant was being saved', async () => {
  const take = await opened()
  answer('GET /api/takes/t2', () => ({ ...saved(named('The other'), 4), id: 't2' }))
  const put = later<Take>()
  answer('PUT /api/takes/t1', () => put.promise)
  take.change(named('Dusk'))
  const cut = take.cutVersion('Before it')
  await settled()
  await take.open('t2')
  put.release(saved(named('Dusk'), 2))
  await expect(cut).rejects.toThrow('not saved yet')
  expect(calls.filter(({ path }) => path.endsWith('versions'))).toEqual([])
})

it('lets nothing large be made of a take that was changed, or left, while its version was saved', async () => {
  const take = await opened()
  answer('GET /api/takes/t2', () => ({ ...saved(named('The other'), 4), id: 't2' }))
  const change = () => {
    take.change(named('Changed'))
    return Promise.resolve()
  }
  for (const meanwhile of [() => take.open('t2'), change]) {
    await take.open('t1')
    const version = later<object>()
    answer('POST /api/takes/t1/versions', () => version.promise)
    const cut = take.cutBefore(take.begin(), 'Before it')
    await settled()
    await meanwhile()
    version.release({})
    await expect(cut).rejects.toThrow('changed meanwhile')
  }
  answer('POST /api/takes/t1/versions', () => ({}))
  await take.cutBefore(take.begin(), 'Before it')
})

it('shows a version everywhere, refuses to change it, and goes back to the take as it is', async () => {
  const take = await opened()
  take.change(named('Dusk'))
  take.change(named('Noon'))
  take.undo()
  await settled()
  take.look({ number: 1, description: 'first', document: named('Dawn') })
  expect([nameOf(take.document), nameOf(take.shown), nameOf(take.now)]).toEqual([
    'Dawn',
    'Dawn',
    'Dusk',
  ])
  expect([take.canUndo, take.canRedo]).toEqual([false, false])
  const before = puts().length
  take.change(named('Noon'))
  take.undo()
  take.redo()
  await expect(take.cutVersion('x')).rejects.toThrow('looking at a version')
  await settled()
  expect([nameOf(take.document), take.isRefused, puts().length]).toEqual(['Dawn', true, before])
  take.look(undefined)
  expect([nameOf(take.document), take.isRefused]).toEqual(['Dusk', false])
  expect([take.canUndo, take.canRedo]).toEqual([true, true])
})

it('looks at no version of another take', async () => {
  const take = await opened()
  take.look({ number: 1, description: '', document: named('Dawn') })
  await take.open('t1')
  await settled()
  expect([nameOf(take.document), take.looking]).toEqual(['Night', undefined])
})
