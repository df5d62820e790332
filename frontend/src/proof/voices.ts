/** What a trade says and shows on the sample pages, in its file in core/proof/trades. Names and prices are made up. */
import type { VoiceId } from '@/api/types'

/** How the opening of a home page is composed. */
export type OpeningLayout = 'split' | 'soft' | 'banner' | 'poster' | 'column' | 'window'
/** Where the picture of an article stands: beside its title, over it across the page, or under it. */
/** How an article is composed: its title with the picture, its text with the quote, what to read on. */
export interface ArticleLayout {
  title: 'left' | 'right' | 'over' | 'under' | 'centered' | 'tall' | 'small'
  body: 'column' | 'columns' | 'margin' | 'split'
  further: 'cards' | 'list' | 'lead'
}
/** How a shop is: the thing with its picture, the basket, the promise. */
export interface ShopLayout {
  product: 'left' | 'right' | 'over' | 'tall'
  basket: 'table' | 'slip' | 'split'
  promise: 'plain' | 'centered' | 'split'
}
export type OffersLayout = 'cards' | 'tiles' | 'shelf'

export interface Offer {
  title: string
  text: string
  link: string
  price?: string
  scene?: string
}
export interface HomeCopy {
  strip?: readonly [string, string]
  opening: {
    layout: OpeningLayout
    scene: string
    kicker: string
    headline: string
    text: string
    button: string
    second?: string
    note?: string
  }
  offers?: { layout: OffersLayout; heading: string; link: string; items: readonly Offer[] }
  menu?: {
    heading: string
    note: string
    courses: readonly {
      title: string
      dishes: readonly { name: string; text: string; price: string }[]
    }[]
  }
  programme?: {
    heading: string
    link: string
    evenings: readonly { day: string; title: string; text: string; state?: string }[]
  }
  steps?: { heading: string; text: string; items: readonly { title: string; text: string }[] }
  prices?: {
    heading: string
    text: string
    plans: readonly {
      name: string
      price: string
      unit: string
      points: readonly string[]
      button: string
    }[]
  }
  hours?: {
    heading: string
    text: string
    note: { title: string; text: string }
    days: readonly (readonly [string, string, string])[]
    /** The day that is marked, counted from 0. */
    today: number
  }
  numbers?: readonly { figure: string; caption: string }[]
  story?: {
    heading: string
    text: string
    link: string
    scene?: string
    figure?: string
    caption?: string
  }
  voice?: { quote: string; name: string; about: string; button?: string }
  call?: { heading: string; text: string; button: string; scene?: string }
}
export interface Chart {
  heading: string
  names: readonly [string, string, string, string, string]
}
export interface VoiceCopy {
  navigation: readonly [string, string, string]
  /** The button in the head. */
  call: string
  home: HomeCopy
  foot: { text: string; links: readonly [string, string]; small: string }
  article: {
    layout: ArticleLayout
    scene: string
    date: string
    title: string
    standfirst: string
    first: string
    link: string
    after: string
    heading: string
    second: string
    quote: string
    small: string
    third: string
    note: string
    further: readonly { title: string; time: string; scene?: string }[]
  }
  shop: {
    layout: ShopLayout
    scene: string
    kind: string
    name: string
    text: string
    price: string
    stock: string
    few: string
    button: string
    link: string
    basket: readonly { name: string; count: number; price: string }[]
    sum: string
    promise: { heading: string; text: string; button: string }
  }
  dashboard: {
    time: string
    add: string
    heading: string
    figures: readonly [Figure, Figure, Figure]
    /** Five of each, of which a chart shows as many as the ground can tell apart. */
    lines: Chart
    bars: Chart
    table: string
    columns: readonly [string, string, string]
    rows: readonly (readonly [string, string, string])[]
  }
  form: {
    heading: string
    text: string
    count: string
    enough: string
    wish: string
    example: string
    button: string
    second: string
    messages: readonly [good: string, caution: string, bad: string, note: string]
  }
  mail: {
    scene: string
    heading: string
    text: string
    news: readonly { title: string; text: string }[]
    offer: string
    how: string
    button: string
  }
}
interface Figure {
  title: string
  value: string
  change: string
}

const files = import.meta.glob<VoiceCopy>('../../../src/tonada/core/proof/trades/*.json', {
  import: 'copy',
  eager: true,
})

/** The copy of each trade by its id: the name of its file. */
export const VOICES = Object.fromEntries(
  Object.entries(files).map(([path, copy]) => [/(\w+)\.json$/.exec(path)?.[1] ?? '', copy]),
) as Readonly<Record<VoiceId, VoiceCopy>>

const BRAND = '{brand}'

/** What a trade says on the pages of a brand: some of it has the brand’s name in it. */
export function copyOf(voice: VoiceId, brand: string): VoiceCopy {
  return withBrand(VOICES[voice], brand)
}

function withBrand<Part>(part: Part, brand: string): Part {
  if (typeof part === 'string') return part.replaceAll(BRAND, brand) as Part
  if (Array.isArray(part)) return part.map((one: unknown) => withBrand(one, brand)) as Part
  if (part === null || typeof part !== 'object') return part
  return Object.fromEntries(
    Object.entries(part).map(([name, value]) => [name, withBrand<unknown>(value, brand)]),
  ) as Part
}
