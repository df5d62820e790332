/** A review that came as a file: what is said stays in the browser, and travels back whole. */
import { beforeEach, describe, expect, it } from 'vitest'
import { aReview } from '@/testing/review'
import { fileTalk, packed } from './fileTalk'
import type { Embedded, Keeping } from './fileTalk'

const { content } = aReview()
const EMBEDDED: Embedded = {
  review: '00000000-0000-4000-8000-000000000000',
  content,
  may_comment: true,
  may_choose: true,
  may_approve: true,
  files: { abc: 'data:image/png;base64,AA==' },
  pages: { script: 'draw()', style: 'p{}' },
}
const WHOLE = (await fileTalk(EMBEDDED, undefined).open()).said

class Shelf implements Keeping {
  kept = new Map<string, string>()
  getItem = (key: string) => this.kept.get(key) ?? null
  setItem = (key: string, value: string) => {
    this.kept.set(key, value)
  }
}
let shelf: Shelf
beforeEach(() => {
  shelf = new Shelf()
})
const about = {
  kind: 'part',
  place: 0,
  page: 'home',
  scheme: 'day',
  width: 'wide',
  part: 'Heading',
  hex: null,
  name: 'Heading',
} as const

describe('what is said without a server', () => {
  it('begins with nothing', () => {
    expect(WHOLE).toEqual({ remarks: [], choices: [], approval: null })
  })

  it('is there again when the file is opened again', async () => {
    const talk = fileTalk(EMBEDDED, shelf)
    await talk.say({ name: 'Ana', about, text: ' Lovely ' })
    await talk.choose('Ana', 1, '')
    await talk.approve('Ana', 1)
    const said = (await fileTalk(EMBEDDED, shelf).open()).said
    expect(said.remarks.map((one) => one.text)).toEqual(['Lovely'])
    expect(said.choices[0]).toMatchObject({ who: 'Ana', place: 1, is_own: true })
    expect(said.approval).toMatchObject({ name: 'Dusk', version: 2, who: 'Ana' })
  })

  it('is changed and taken back', async () => {
    const talk = fileTalk(EMBEDDED, shelf)
    const [remark] = (await talk.say({ name: 'Ana', about, text: 'Dark' })).remarks
    expect((await talk.edit(remark?.id ?? '', 'Rather dark')).remarks[0]?.text).toBe('Rather dark')
    expect((await talk.takeBack(remark?.id ?? '')).remarks).toEqual([])
    expect(() => talk.edit(remark?.id ?? '', 'x')).toThrow('no longer exists')
  })

  it('goes on where the browser keeps nothing, or something broken', async () => {
    const full: Keeping = {
      getItem: () => '{broken',
      setItem: () => {
        throw new Error('full')
      },
    }
    const said = await fileTalk(EMBEDDED, full).say({ name: 'Ana', about, text: 'Hm' })
    expect(said.remarks).toHaveLength(1)
  })

  it('travels back with the keys that say what is new', async () => {
    const talk = fileTalk(EMBEDDED, shelf)
    const [remark] = (await talk.say({ name: 'Zoë', about, text: '夜' })).remarks
    await talk.choose('Zoë', null, 'Too cold')
    const answers = JSON.parse(talk.answers?.('Zoë').file ?? '') as Record<string, unknown>
    expect(answers).toEqual({
      format: 'tonada-review-answers',
      version: 1,
      review: EMBEDDED.review,
      key: expect.stringMatching(/^[0-9a-f]{32}$/) as string,
      name: 'Zoë',
      remarks: [{ key: remark?.id, about, text: '夜' }],
      choice: { place: null, reason: 'Too cold', at: expect.any(String) as string },
      approved: null,
    })
    // Another file from the same browser is the same person's.
    expect(fileTalk(EMBEDDED, shelf).answers?.('Zoë').file).toBe(talk.answers?.('Zoë').file)
  })
})

it('is packed in letters that a mail leaves alone', () => {
  const lines = packed('“Zoë” 夜'.repeat(30)).trimEnd().split('\n')
  expect([lines[0], lines.at(-1)]).toEqual(['TONADA ANSWERS', 'END OF ANSWERS'])
  expect(lines.slice(1, -1).every((line) => /^[A-Za-z0-9+/=]{1,64}$/.test(line))).toBe(true)
  const bytes = Uint8Array.from(atob(lines.slice(1, -1).join('')), (one) => one.charCodeAt(0))
  expect(new TextDecoder().decode(bytes)).toBe('“Zoë” 夜'.repeat(30))
})
