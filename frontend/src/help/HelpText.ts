/** A page of the help, drawn from what it is made of; no HTML of a text is put into the page. */
import type { Token, Tokens } from 'marked'
import { h } from 'vue'
import type { FunctionalComponent, VNode } from 'vue'
import { RouterLink } from 'vue-router'
import { anchorOf, pictureOf, targetOf, textOf } from './guide'
import type { HelpPage } from './guide'

type Drawn = (VNode | string)[]

export const HelpText: FunctionalComponent<{ page: HelpPage }> = ({ page }) =>
  page.tokens.flatMap((token) => draw(page, token))
HelpText.props = ['page']

const all = (page: HelpPage, tokens: readonly Token[] | undefined): Drawn =>
  (tokens ?? []).flatMap((token) => draw(page, token))

const DRAWN: Record<string, (page: HelpPage, token: never) => Drawn> = {
  heading(page, token: Tokens.Heading) {
    const id = token.depth > 1 ? anchorOf(textOf(token)) : undefined
    return [h(`h${(token.depth + 1).toString()}`, { id }, all(page, token.tokens))]
  },
  paragraph: (page, token: Tokens.Paragraph) => [h('p', all(page, token.tokens))],
  text: (page, token: Tokens.Text) => (token.tokens ? all(page, token.tokens) : [token.text]),
  escape: (_page, token: Tokens.Escape) => [token.text],
  strong: (page, token: Tokens.Strong) => [h('strong', all(page, token.tokens))],
  em: (page, token: Tokens.Em) => [h('em', all(page, token.tokens))],
  codespan: (_page, token: Tokens.Codespan) => [h('code', token.text)],
  code: (_page, token: Tokens.Code) => [h('pre', { tabindex: 0 }, [h('code', token.text)])],
  br: () => [h('br')],
  list(page, token: Tokens.List) {
    const items = token.items.map((item) => h('li', all(page, item.tokens)))
    return [h(token.ordered ? 'ol' : 'ul', items)]
  },
  table: (page, token: Tokens.Table) => [table(page, token)],
  image(page, token: Tokens.Image) {
    return [h('img', { src: pictureOf(page, token.href), alt: token.text, loading: 'lazy' })]
  },
  link(page, token: Tokens.Link) {
    const target = targetOf(page, token.href)
    // What isn't part of the help, such as a decision, is named and not linked to.
    if (!target) return all(page, token.tokens)
    const to = { name: 'help', params: { page: target.slug }, hash: target.hash }
    return [h(RouterLink, { to }, () => all(page, token.tokens))]
  },
}

function draw(page: HelpPage, token: Token): Drawn {
  return DRAWN[token.type]?.(page, token as never) ?? []
}

function table(page: HelpPage, token: Tokens.Table): VNode {
  const row = (cells: readonly Tokens.TableCell[], tag: 'td' | 'th') =>
    h(
      'tr',
      cells.map((cell) =>
        h(
          tag,
          {
            class: cell.align === 'right' && 'text-right',
            scope: tag === 'th' ? 'col' : undefined,
          },
          all(page, cell.tokens),
        ),
      ),
    )
  return h(
    'div',
    { class: 'overflow-x-auto', tabindex: 0, role: 'region', 'aria-label': 'Table' },
    [
      h('table', [
        h('thead', [row(token.header, 'th')]),
        h(
          'tbody',
          token.rows.map((cells) => row(cells, 'td')),
        ),
      ]),
    ],
  )
}
