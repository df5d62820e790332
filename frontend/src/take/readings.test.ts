/** Readings of a source: one after the other, each of what the one before has come to. */
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, expect, it } from 'vitest'
import type { Source, SourceReading } from '@/api/types'
import { answer, calls, later, Refusal, settled } from '@/testing/server'
import { useBrandStore } from './brand'

const AREA = { left: 0, top: 0, width: 0.4, height: 1 }
const sourceOf = (settings: Partial<SourceReading> = {}) =>
  ({ id: 's1', brand_id: 'b1', settings }) as unknown as Source
const asked = () =>
  calls.filter((call) => call.path === '/api/sources/s1/reading').map((call) => call.body)

async function opened() {
  answer('GET /api/brands/b1', () => ({ brand: { id: 'b1' }, takes: [], sources: [sourceOf()] }))
  const brand = useBrandStore()
  await brand.open('b1')
  return brand
}

beforeEach(() => {
  setActivePinia(createPinia())
})

it('what is wanted while a reading is on its way is asked for afterwards, together', async () => {
  const brand = await opened()
  const slow = later<null>()
  answer('PUT /api/sources/s1/reading', async (call) => {
    await slow.promise
    return sourceOf(call.body as SourceReading)
  })
  const first = brand.readAgain(sourceOf(), { region: AREA })
  await settled()
  void brand.readAgain(sourceOf(), { kind: 'flat' })
  void brand.readAgain(sourceOf(), { count: 5 })
  await settled()
  expect(asked()).toEqual([{ region: AREA }])
  slow.release(null)
  await first
  expect(asked()).toEqual([{ region: AREA }, { region: AREA, kind: 'flat', count: 5 }])
  expect(brand.detail?.sources[0]?.settings).toEqual({ region: AREA, kind: 'flat', count: 5 })
})

it('after a reading that is refused the next one begins with what there is', async () => {
  const brand = await opened()
  answer('PUT /api/sources/s1/reading', () => new Refusal({ status: 422, detail: 'Not so.' }))
  await brand.readAgain(sourceOf(), { region: AREA })
  expect(brand.problem).toBe('Not so.')
  answer('PUT /api/sources/s1/reading', (call) => sourceOf(call.body as SourceReading))
  await brand.readAgain(sourceOf(), { count: 5 })
  expect(asked()).toEqual([{ region: AREA }, { count: 5 }])
  expect(brand.problem).toBe('')
})
