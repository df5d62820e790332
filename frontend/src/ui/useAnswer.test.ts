/** Questions that a view asks once: failures are said together, and asked again together. */
import { expect, it } from 'vitest'
import { api, answerOf } from '@/api/client'
import { endScope, inScope } from '@/testing/scopes'
import { answer, later, Refusal, settled } from '@/testing/server'
import { useAnswer, useUnanswered } from '@/ui/useAnswer'

it('a question without an answer is said, asked again with all others, and forgotten with its view', async () => {
  const { problem, askAgain } = useUnanswered()
  answer('GET /api/brands', () => {
    throw new TypeError('offline')
  })
  const read = () => answerOf(api.GET('/api/brands'))
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
  endScope()
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
