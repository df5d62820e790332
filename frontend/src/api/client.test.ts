/** The one way to the server: no answer is overlooked, and a token that ran out is no error of the user's. */
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, expect, it, vi } from 'vitest'
import type { Source } from '@/api/types'
import { answer, calls, Refusal, settled } from '@/testing/server'

beforeEach(() => {
  setActivePinia(createPinia())
  // The token is asked for once and remembered in the module.
  vi.resetModules()
})
const refusedToken = () =>
  new Refusal({ status: 403, detail: 'The token is missing.', type: 'urn:tonada:csrf-refused' })

it('a refused token is read again once, and the call repeated', async () => {
  const { api } = await import('@/api/client')
  let tokens = 0
  answer('GET /api/session', () => ({ csrf_token: `token ${(tokens += 1).toString()}` }))
  answer('POST /api/brands', ({ token }) => (token === 'token 1' ? refusedToken() : { id: 'b1' }))
  const { data } = await api.POST('/api/brands', { body: { name: 'Orrin Peak' } })
  expect(data).toEqual({ id: 'b1' })
  const posts = calls.filter(({ method }) => method === 'POST')
  expect(posts.map(({ token, body }) => [token, body])).toEqual([
    ['token 1', { name: 'Orrin Peak' }],
    ['token 2', { name: 'Orrin Peak' }],
  ])
  answer('POST /api/brands', refusedToken)
  await expect(api.POST('/api/brands', { body: { name: 'x' } })).rejects.toThrow('token is missing')
  expect(calls.filter(({ method }) => method === 'POST')).toHaveLength(4)
})

it('a refusal is thrown also where nobody looks at the answer', async () => {
  const { api, explain } = await import('@/api/client')
  answer('DELETE /api/takes/t1', () => new Refusal({ status: 409, detail: 'The only take.' }))
  const call = api.DELETE('/api/takes/{take_id}', { params: { path: { take_id: 't1' } } })
  await expect(call.catch((reason: unknown) => explain(reason))).resolves.toBe('The only take.')
})

const SOURCE = { id: 'x1', brand_id: 'b1', name: 'logo.svg', state: 'ready' } as Source
const DETAIL = { brand: { id: 'b1', name: 'Orrin Peak' }, takes: [], sources: [SOURCE] }

it('a source that could not be removed is still there, and can’t be brought back', async () => {
  const { useBrandStore } = await import('@/take/brand')
  answer('GET /api/brands/b1', () => DETAIL)
  const brand = useBrandStore()
  await brand.open('b1')
  answer('DELETE /api/sources/x1', () => new Refusal({ status: 503, detail: 'Not now.' }))
  await brand.remove(SOURCE)
  expect([brand.detail?.sources.length, brand.removed, brand.problem]).toEqual([
    1,
    undefined,
    'Not now.',
  ])
  answer('DELETE /api/sources/x1', () => ({}))
  await brand.remove(SOURCE)
  expect([brand.detail?.sources.length, brand.removed?.id]).toEqual([0, 'x1'])
  answer('POST /api/sources/x1/restoration', () => new Refusal({ status: 503, detail: 'Not now.' }))
  await brand.restore()
  expect(brand.removed?.id).toBe('x1')
})

it('a source is shown in its own brand only, whatever was opened while it was read', async () => {
  const { useBrandStore } = await import('@/take/brand')
  answer('GET /api/brands/b1', () => DETAIL)
  answer('GET /api/brands/b2', () => ({ ...DETAIL, brand: { id: 'b2' }, sources: [] }))
  answer('POST /api/brands/b1/lists', () => ({ ...SOURCE, id: 'x2' }))
  const brand = useBrandStore()
  await brand.open('b1')
  const adding = brand.addText('#123456')
  await brand.open('b2')
  await adding
  await settled()
  expect(brand.detail?.sources).toEqual([])
})
