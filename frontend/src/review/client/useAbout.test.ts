/** What a remark is about: touched, chosen from the list, and kept with it. */
import { expect, it } from 'vitest'
import { effectScope, nextTick, ref } from 'vue'
import { aReview } from '@/testing/review'
import { aboutFrom, colorKey, partKey, useAbout } from './useAbout'

function looking() {
  const { content } = aReview()
  const view = ref('home')
  const places = ref<readonly number[]>([0, 1])
  const looked = {
    content: () => content,
    places: () => places.value,
    view: () => view.value,
    scheme: () => 'day' as const,
    width: () => 'wide' as const,
  }
  const found = effectScope().run(() => useAbout(looked))
  if (!found) throw new Error('nothing')
  return { ...found, looked, view, places }
}

it('offers the whole, each take, and the parts that are drawn', () => {
  const { abouts, seen } = looking()
  seen(0, ['Heading'])
  expect(abouts.value.map((one) => one.label)).toEqual([
    'About all of them',
    'Midnight',
    'Midnight: Heading',
    'Dusk',
  ])
})

it('offers the colours where they are shown', async () => {
  const { abouts, view } = looking()
  view.value = 'colors'
  await nextTick()
  expect(abouts.value.map((one) => one.label)).toContain('Dusk: Night indigo')
})

it('keeps what was touched, also where the list has it not', () => {
  const { about, abouts, chooseAbout, aboutOf } = looking()
  chooseAbout(partKey(1, 'foot'))
  expect(about.value).toBe(partKey(1, 'foot'))
  expect(abouts.value.at(-1)).toEqual({ value: partKey(1, 'foot'), label: 'Dusk: foot' })
  expect([aboutOf(0), aboutOf(1)]).toEqual([undefined, 'foot'])
})

it('is about the whole again when another page is looked at', async () => {
  const { about, chooseAbout, view } = looking()
  chooseAbout(partKey(0, 'Heading'))
  view.value = 'article'
  await nextTick()
  expect(about.value).toBe('whole')
})

it('is kept with page, take and name', () => {
  const { looked } = looking()
  expect(aboutFrom('whole', looked)).toMatchObject({ kind: 'whole', place: null, name: '' })
  expect(aboutFrom('take|1|', looked)).toMatchObject({ kind: 'whole', place: 1 })
  expect(aboutFrom(partKey(0, 'Heading'), looked)).toMatchObject({
    kind: 'part',
    place: 0,
    page: 'home',
    part: 'Heading',
    name: 'Heading',
  })
  expect(aboutFrom(colorKey(0, '#2b3a8c'), looked)).toMatchObject({
    kind: 'color',
    hex: '#2b3a8c',
    name: 'Night indigo',
  })
})
