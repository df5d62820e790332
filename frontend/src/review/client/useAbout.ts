/** What the next remark is about: touched on a page, or chosen from what is shown. */
import { computed, ref, shallowRef, watch } from 'vue'
import type { About, ReviewContent } from '@/api/types'

interface Looked {
  content: () => ReviewContent
  places: () => readonly number[]
  view: () => string
  scheme: () => 'day' | 'night'
  width: () => 'wide' | 'phone'
}

const WHOLE = 'whole'
/** “part|0|Opening’s heading”, “color|1|#aabbcc”, “take|0|”, “whole” */
const key = (kind: string, place: number, what = '') => `${kind}|${place.toString()}|${what}`

export function useAbout(looked: Looked) {
  const chosen = ref(WHOLE)
  /** The parts of the pages that are drawn, by take. */
  const parts = shallowRef<Readonly<Record<number, readonly string[]>>>({})
  const seen = (place: number, names: readonly string[]) => {
    parts.value = { ...parts.value, [place]: names }
  }

  const abouts = computed(() => {
    const { takes } = looked.content()
    const many = takes.length > 1
    const found = [{ value: WHOLE, label: many ? 'About all of them' : 'About all of it' }]
    for (const place of looked.places()) {
      const take = takes[place]
      if (!take) continue
      const of = many ? `${take.name}: ` : ''
      if (many) found.push({ value: key('take', place), label: take.name })
      if (looked.view() === 'colors')
        for (const color of take.colors[looked.scheme()] ?? take.colors.day ?? [])
          found.push({ value: key('color', place, color.hex), label: `${of}${color.name}` })
      else
        for (const part of parts.value[place] ?? [])
          found.push({ value: key('part', place, part), label: `${of}${part}` })
    }
    // What was touched stays in the list, also where it is no part but a section.
    if (!found.some((one) => one.value === chosen.value))
      found.push({ value: chosen.value, label: labelOf(chosen.value, looked.content()) })
    return found
  })
  // What is looked at no more is not what the next remark is about.
  watch([looked.view, looked.places], () => (chosen.value = WHOLE))

  const about = computed<string>({
    get: () => chosen.value,
    set: (value) => (chosen.value = value),
  })

  /** The part or colour that is chosen of a take. */
  function aboutOf(place: number): string | undefined {
    const [, of, what] = chosen.value.split('|')
    return of === place.toString() && what ? what : undefined
  }

  return { about, abouts, seen, aboutOf, chooseAbout: (value: string) => (chosen.value = value) }
}

function labelOf(value: string, { takes }: ReviewContent): string {
  const [, place, what] = value.split('|')
  const name = takes[Number(place)]?.name ?? ''
  return takes.length > 1 ? `${name}: ${what ?? ''}` : (what ?? '')
}

export const partKey = (place: number, part: string) => key('part', place, part)
export const colorKey = (place: number, hex: string) => key('color', place, hex)

/** What is kept of it with a remark. */
export function aboutFrom(value: string, looked: Looked): About {
  const [kind, place, what] = value.split('|')
  const scheme = looked.scheme()
  const usual: About = {
    kind: 'whole',
    place: null,
    page: '',
    scheme,
    width: looked.width(),
    part: '',
    hex: null,
    name: '',
  }
  if (kind === 'whole' || place === undefined) return usual
  const at = { ...usual, place: Number(place) }
  if (kind === 'take') return at
  if (kind === 'part')
    return { ...at, kind: 'part', page: looked.view(), part: what ?? '', name: what ?? '' }
  const color = looked
    .content()
    .takes[Number(place)]?.colors[scheme]?.find((one) => one.hex === what)
  return { ...at, kind: 'color', hex: what ?? null, name: color?.name ?? what ?? '' }
}
