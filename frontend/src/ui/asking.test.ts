/** Who is asked, in which order, and whose answer counts. */
import { expect, it } from 'vitest'
import { effectScope, nextTick, ref } from 'vue'
import { createLatest, createPaced, createQueue } from './asking'
import { useUnanswered } from './useAnswer'
import { useFollowing } from './useFollowing'

/** Work that ends when it is told to. */
function pending<T>() {
  let resolve: (value: T) => void = () => undefined
  let reject: (reason: unknown) => void = () => undefined
  const promise = new Promise<T>((...both) => ([resolve, reject] = both))
  return { promise, resolve, reject }
}

it('only the answer to the newest question counts, and the ones before are cancelled', async () => {
  const { ask } = createLatest()
  const [first, second] = [pending<string>(), pending<string>()]
  let signal: AbortSignal | undefined
  const one = ask((own) => ((signal = own), first.promise))
  const two = ask(() => second.promise)
  expect(signal?.aborted).toBe(true)
  second.resolve('two')
  first.resolve('one')
  expect([await one, await two]).toEqual([undefined, 'two'])
})

it('a failure counts only where its question does', async () => {
  const { ask, cancel } = createLatest()
  const first = pending<string>()
  const one = ask(() => first.promise)
  const two = ask(() => Promise.reject(new Error('refused')))
  first.reject(new Error('too late'))
  await expect(one).resolves.toBeUndefined()
  await expect(two).rejects.toThrow('refused')
  const third = pending<string>()
  const three = ask(() => third.promise)
  cancel()
  third.resolve('nobody waits')
  expect(await three).toBeUndefined()
})

it('work is done one after the other, and goes on after a failure', async () => {
  const inOrder = createQueue()
  const done: string[] = []
  const first = pending<undefined>()
  const one = inOrder(() => first.promise.then(() => done.push('one')))
  const two = inOrder(() => Promise.reject(new Error('two')))
  const three = inOrder(() => Promise.resolve(done.push('three')))
  await nextTick()
  expect(done).toEqual([])
  first.resolve(undefined)
  await expect(two).rejects.toThrow('two')
  await Promise.all([one, three])
  expect(done).toEqual(['one', 'three'])
})

it('while one question runs only the newest waits', async () => {
  const asked: number[] = []
  let running = pending<undefined>()
  const { ask, drop } = createPaced((question: number) => {
    asked.push(question)
    return running.promise
  })
  const all = ask(1)
  await nextTick()
  void ask(2)
  void ask(3)
  const first = running
  running = pending()
  first.resolve(undefined)
  await nextTick()
  await nextTick()
  expect(asked).toEqual([1, 3])
  void ask(4)
  drop()
  running.resolve(undefined)
  await all
  expect(asked).toEqual([1, 3])
})

it('an answer follows its question, and a failure stands among the unanswered until it is answered', async () => {
  const scope = effectScope()
  const question = ref<number | undefined>(1)
  let fails = false
  const found = scope.run(() =>
    useFollowing(
      () => question.value,
      (asked) => (fails ? Promise.reject(new Error('down')) : Promise.resolve(asked * 2)),
      { isShared: true },
    ),
  )
  const settled = () => new Promise((resolve) => setTimeout(resolve))
  await settled()
  expect(found?.answer.value).toBe(2)
  fails = true
  question.value = 2
  await settled()
  const { problem, askAgain } = useUnanswered()
  // What was there stays, and the failure is said once for all views.
  expect([found?.answer.value, problem.value !== '']).toEqual([2, true])
  fails = false
  askAgain()
  await settled()
  expect([found?.answer.value, problem.value]).toEqual([4, ''])
  question.value = undefined
  await settled()
  expect(found?.answer.value).toBeUndefined()
  scope.stop()
})
