/** The help leads nowhere that isn't there. */
import type { Token, Tokens } from 'marked'
import { expect, it } from 'vitest'
import { WORDS } from '@/head/words'
import { anchorOf, pages, pictureOf, search, targetOf, textOf } from './guide'
import type { HelpPage } from './guide'

function* all(tokens: readonly Token[]): Generator<Token> {
  for (const token of tokens) {
    yield token
    if ('tokens' in token && token.tokens) yield* all(token.tokens)
    if (token.type === 'list') yield* all(token.items as Token[])
    if (token.type === 'table')
      for (const row of [token.header, ...(token.rows as Token[][])] as Token[][]) yield* all(row)
  }
}
const hrefs = (page: HelpPage, type: 'link' | 'image') =>
  [...all(page.tokens)]
    .filter((token) => token.type === type)
    .map((token) => (token as Tokens.Link).href)
const anchors = (page: HelpPage) =>
  page.tokens.filter((token) => token.type === 'heading').map((token) => anchorOf(textOf(token)))

it('has the guide in its order, then what goes deeper', () => {
  const guide = pages.filter((one) => one.isGuide)
  expect(guide[0]?.title).toBe('From a logo to an approved palette')
  expect(guide.length).toBeGreaterThan(9)
  expect(pages.slice(0, guide.length)).toEqual(guide)
  expect(new Set(pages.map((one) => one.slug)).size).toBe(pages.length)
})

it('has the same words as the sheet of words', () => {
  const page = pages.find((one) => one.slug === 'words')
  const table = page?.tokens.find((token) => token.type === 'table') as Tokens.Table
  expect(table.rows.map((row) => row.map((cell) => cell.text))).toEqual(WORDS)
})

it.each(pages)('$slug refers only to what is there', (page) => {
  // Decisions, examples and what lies outside docs/ are named, and not part of the help.
  const isLeftOut = /^(\.\.\/)?(decisions|examples|src)\/|^\.\.\/[A-Z]|^https?:/
  for (const href of hrefs(page, 'link').filter((one) => !isLeftOut.test(one))) {
    const target = targetOf(page, href)
    expect(target, href).toBeDefined()
    const found = pages.find((one) => one.slug === target?.slug)
    if (target?.hash) expect(found && anchors(found), href).toContain(target.hash.slice(1))
  }
  for (const href of hrefs(page, 'image')) expect(pictureOf(page, href), href).toBeTruthy()
})

it('finds sections by all of the words', () => {
  const found = search('held YELLOW').map((one) => [one.page.slug, one.heading])
  expect(found).toContainEqual(
    ['pairs', 'When something can’t pass'].map((one) => one.replace('’', "'")),
  )
  expect(search('yellow zebra')).toEqual([])
  expect(search('  ')).toEqual([])
})
