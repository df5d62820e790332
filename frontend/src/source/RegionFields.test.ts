/** The part of a picture by numbers: what doesn’t fit is refused beside its field, and never cut. */
import { expect, it } from 'vitest'
import { createApp, nextTick } from 'vue'
import RegionFields from './RegionFields.vue'

const PART = { left: 0.2, top: 0.1, width: 0.3, height: 0.4 }

async function typed(field: number, text: string, region: typeof PART | null = PART) {
  const made: unknown[] = []
  const around = document.body.appendChild(document.createElement('div'))
  const app = createApp(RegionFields, { region, onChange: (part: unknown) => made.push(part) })
  app.mount(around)
  const input = around.querySelectorAll('input')[field]
  if (!input) throw new Error('There is no such field')
  input.value = text
  input.dispatchEvent(new Event('input'))
  input.dispatchEvent(new Event('change'))
  await nextTick()
  const said = around.textContent
  app.unmount()
  return { made: made[0], said }
}

it('moves a part that has room, at its size', async () => {
  expect((await typed(0, '60')).made).toEqual({ ...PART, left: 0.6 })
})

it.each([
  [0, '80'],
  [2, '90'],
  [3, '0'],
])('refuses in field %d what leaves the picture, %s, and says why', async (field, text) => {
  const { made, said } = await typed(field, text)
  expect(made).toBeUndefined()
  expect(said).toMatch(/at (most|least)|from/i)
})

it('moves the edge alone where the part ends at the edge of the picture', async () => {
  const { made } = await typed(0, '25', null)
  expect(made).toEqual({ left: 0.25, top: 0, width: 0.75, height: 1 })
})
