/** The guide and what goes deeper, as they stand in docs/: pages with sections, addresses and search. */
import { marked } from 'marked'
import type { Token, Tokens } from 'marked'

const GUIDE = import.meta.glob<string>('../../../docs/guide/*.md', {
  eager: true,
  query: '?raw',
  import: 'default',
})
const DEPTH = import.meta.glob<string>('../../../docs/*.md', {
  eager: true,
  query: '?raw',
  import: 'default',
})
const PICTURES = import.meta.glob<string>('../../../docs/screenshots/*.png', {
  eager: true,
  query: '?url',
  import: 'default',
})

export interface HelpPage {
  /** As in its address. */
  slug: string
  title: string
  isGuide: boolean
  /** Below docs/, to follow what it refers to. */
  path: string
  tokens: readonly Token[]
}
export interface Found {
  page: HelpPage
  heading: string
  anchor: string
}

const below = (path: string) => path.replace(/^.*\/docs\//, '')
const isHeading = (token: Token): token is Tokens.Heading => token.type === 'heading'

function pageOf(path: string, text: string, isGuide: boolean): HelpPage {
  const tokens = marked.lexer(text)
  const title = tokens.find(isHeading)
  const name = path.replace(/^.*\/(\d+-)?/, '').replace(/\.md$/, '')
  const slug = isGuide ? name : `in-depth-${name}`
  return { slug, title: title ? textOf(title) : slug, isGuide, path, tokens }
}

const pagesOf = (texts: Record<string, string>, isGuide: boolean) =>
  Object.entries(texts).map(([path, text]) => pageOf(below(path), text, isGuide))

export const pages: readonly HelpPage[] = [...pagesOf(GUIDE, true), ...pagesOf(DEPTH, false)]

/** The words of a token, without what they are marked up with. */
export function textOf(token: Token): string {
  if ('tokens' in token && token.tokens?.length) return token.tokens.map(textOf).join('')
  if (token.type === 'list') return (token as Tokens.List).items.map(textOf).join(' ')
  if (token.type === 'table') {
    const { header, rows } = token as Tokens.Table
    return [header, ...rows].flatMap((row) => row.map((cell) => cell.text)).join(' ')
  }
  return 'text' in token ? String(token.text) : ''
}

/** The name of a heading in an address, as code hosts make it. */
export const anchorOf = (heading: string) =>
  heading
    .toLowerCase()
    .replace(/[^\p{L}\p{N}\s-]/gu, '')
    .trim()
    .replace(/\s+/g, '-')

/** Where a reference leads: to a page of the help, within this one, to a picture; undefined where it isn't here. */
export function targetOf(page: HelpPage, href: string): { slug: string; hash: string } | undefined {
  const [path = '', hash = ''] = href.split('#')
  const wanted = path ? resolved(page, path) : page.path
  const found = pages.find((one) => one.path === wanted)
  return found && { slug: found.slug, hash: hash && `#${hash}` }
}

export const pictureOf = (page: HelpPage, href: string) =>
  Object.entries(PICTURES).find(([path]) => below(path) === resolved(page, href))?.[1]

const resolved = (page: HelpPage, path: string) =>
  new URL(path, `file:///${page.path}`).pathname.slice(1)

/** Sections in which all words stand, the guide's first. */
export function search(wanted: string): Found[] {
  const words = wanted.toLowerCase().split(/\s+/).filter(Boolean)
  if (!words.length) return []
  return pages.flatMap((page) =>
    sectionsOf(page)
      .filter(({ text }) => words.every((word) => text.includes(word)))
      .map(({ heading, anchor }) => ({ page, heading, anchor })),
  )
}

function sectionsOf(page: HelpPage) {
  const sections: { heading: string; anchor: string; text: string }[] = []
  for (const token of page.tokens) {
    if (isHeading(token)) {
      const heading = textOf(token)
      sections.push({ heading, anchor: token.depth > 1 ? anchorOf(heading) : '', text: '' })
    }
    const section = sections.at(-1)
    if (section) section.text += ` ${textOf(token).toLowerCase()}`
  }
  return sections
}
