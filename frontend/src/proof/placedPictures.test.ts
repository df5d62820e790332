import { expect, it } from 'vitest'
import type { PlacedPicture, ProofFigures, ProofSettings } from '@/api/types'
import { mainPicture, placedPictures, placeKey, placing } from './placedPictures'

const VIEW = { x: 0.2, y: 0.8, zoom: 1.5 }
const TONE = { kind: 'plain', dark: 'deep', light: 'paper', tint: 'primary', amount: 0.4 } as const
const at = (part: string, source = 'a'): PlacedPicture => ({
  page: 'home',
  part,
  source,
  view: VIEW,
  tone: TONE,
})
const INK = { by_luma: true, red: '0 1', green: '0 1', blue: '0 1' }
const figures = {
  tone: INK,
  pictures: [{ page: 'home', part: 'Story', tone: INK }],
} as unknown as ProofFigures
const settings = {
  picture_view: VIEW,
  pictures: [at('Story'), at('Call', 'gone'), at('Offer')],
} as unknown as ProofSettings

it('a picture stands in its place with its crop and tone, and not where its source is gone', () => {
  const shown = placedPictures(settings, figures, (source) =>
    source === 'a' ? '/a.png' : undefined,
  )
  expect(shown).toEqual({
    [placeKey('home', 'Story')]: { address: '/a.png', view: VIEW, tone: INK },
    // Its tone hasn't come yet.
    [placeKey('home', 'Offer')]: { address: '/a.png', view: VIEW, tone: null },
  })
  expect(mainPicture(settings, figures, '/main.png')).toEqual({
    address: '/main.png',
    view: VIEW,
    tone: INK,
  })
  expect(mainPicture(settings, figures, undefined)).toBeUndefined()
})

it('another picture takes the place of the one that is there, and none leaves it to the page', () => {
  const before = [at('Story'), at('Call')]
  const place = { page: 'home', part: 'Story' }
  expect(placing(before, place, at('Story', 'b'))).toEqual([at('Story', 'b'), at('Call')])
  expect(placing(before, place, undefined)).toEqual([at('Call')])
  expect(placing(before, { page: 'home', part: 'Offer' }, at('Offer'))).toHaveLength(3)
  expect(placing(before, { page: 'shop', part: 'Story' }, undefined)).toEqual(before)
})
