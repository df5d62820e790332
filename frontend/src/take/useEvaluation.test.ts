/** Figures of a document: whatever the order in which answers come, the newest document counts. */
import { expect, it } from 'vitest'
import { nextTick, shallowRef, watch } from 'vue'
import type { TakeDocument } from '@/api/types'
import { useEvaluation } from '@/take/useEvaluation'
import { inScope } from '@/testing/scopes'
import { answer, calls, later, settled } from '@/testing/server'
import { figuresOf, takeOf } from '@/testing/takes'

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
  const stop = watch(evaluation, (now) => seen.push(now?.counts.fails), { flush: 'sync' })
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
  expect(evaluation.value?.counts.fails).toBe(2)
  expect(calls).toHaveLength(2)
  document.value = undefined
  await nextTick()
  expect(evaluation.value).toBeUndefined()
})
