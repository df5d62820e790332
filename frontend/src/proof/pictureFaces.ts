/**
 * The typefaces of a drawn page as a style that carries them, for a picture of it. The library that draws the
 * picture looks for them by itself, and in Firefox doesn't find them: elements of a frame are no instances of
 * this window's.
 */

import { fontsOf } from './pageFonts'

const withoutQuotes = (family: string) => family.trim().replaceAll(/["']/g, '')

/** A face is loaded as soon as one of its letters is on the page. */
function isLoaded(rule: CSSFontFaceRule, page: Document): boolean {
  const family = withoutQuotes(rule.style.getPropertyValue('font-family'))
  const range = rule.style.getPropertyValue('unicode-range')
  return [...page.fonts].some(
    (face) =>
      face.status === 'loaded' &&
      withoutQuotes(face.family) === family &&
      (!range || face.unicodeRange === range),
  )
}

async function asData(address: string): Promise<string> {
  const blob = await (await fetch(address)).blob()
  return new Promise((resolve, reject) => {
    const reader = new FileReader()
    reader.onload = () => {
      resolve(typeof reader.result === 'string' ? reader.result : '')
    }
    reader.onerror = () => {
      reject(new Error('A typeface could not be read.'))
    }
    reader.readAsDataURL(blob)
  })
}

export async function facesOf(page: Document): Promise<string> {
  const sheets = [...page.styleSheets]
  const found = sheets.flatMap((sheet) =>
    [...sheet.cssRules]
      .filter((rule): rule is CSSFontFaceRule => rule.constructor.name === 'CSSFontFaceRule')
      .filter((rule) => isLoaded(rule, page))
      .map((rule) => ({ rule, base: sheet.href ?? page.baseURI })),
  )
  const written = await Promise.all(
    found.map(async ({ rule, base }) => {
      const source = /url\(["']?([^"')]+)["']?\)/.exec(rule.style.getPropertyValue('src'))?.[1]
      if (!source) return ''
      const data = await asData(new URL(source, base).href)
      const rest = ['font-family', 'font-style', 'font-weight', 'unicode-range']
        .map((name) => [name, rule.style.getPropertyValue(name)] as const)
        .filter(([, value]) => value)
        .map(([name, value]) => `${name}:${value};`)
        .join('')
      return `@font-face{${rest}src:url(${data}) format("woff2")}`
    }),
  )
  const added = await Promise.all(
    fontsOf(page).map(
      async ({ family, weights, source }) =>
        `@font-face{font-family:"${family}";font-weight:${weights};src:url(${await asData(source)}) format("woff2")}`,
    ),
  )
  return [...written, ...added].join('\n')
}
