/** The trades are data: each file says all that the pages show, and names drawings that there are. */
import ts from 'typescript'
import { expect, it } from 'vitest'
import { DRAWING_NAMES, drawingOf } from '@/proof/drawings'
import { VOICES } from '@/proof/voices'

const HERE = `${ts.sys.getCurrentDirectory()}/src/proof`
const files = import.meta.glob<string>('./drawings/*.svg', {
  query: '?raw',
  import: 'default',
  eager: true,
})

/** What TypeScript says of a copy as a VoiceCopy: nothing where it has all that the pages show. */
function problemsOf(copies: unknown): string[] {
  const checked = `${HERE}/checked.ts`
  const text = `import type { VoiceCopy } from './voices'\nexport const copies: Record<string, VoiceCopy> = ${JSON.stringify(copies)}`
  const host = ts.createCompilerHost({})
  const own = { ...host }
  own.getSourceFile = (name, options) =>
    name === checked ? ts.createSourceFile(name, text, options) : host.getSourceFile(name, options)
  const options = {
    strict: true,
    noEmit: true,
    skipLibCheck: true,
    types: [],
    target: ts.ScriptTarget.ES2022,
    module: ts.ModuleKind.ESNext,
    moduleResolution: ts.ModuleResolutionKind.Bundler,
    paths: { '@/*': [`${HERE}/../*`] },
  }
  const program = ts.createProgram([checked], options, own)
  return program
    .getSemanticDiagnostics(program.getSourceFile(checked))
    .map(({ messageText }) => ts.flattenDiagnosticMessageText(messageText, ' '))
}

const drawingsIn = (part: unknown): string[] =>
  part && typeof part === 'object'
    ? Object.entries(part).flatMap(([name, value]) =>
        name === 'scene' ? [String(value)] : drawingsIn(value),
      )
    : []

it('every trade says all that the pages show', () => {
  expect(Object.keys(VOICES).length).toBeGreaterThan(8)
  expect(problemsOf(VOICES)).toEqual([])
  const [first] = Object.values(VOICES)
  expect(problemsOf({ broken: { ...first, call: undefined } })).not.toEqual([])
}, 30_000)

it('no two trades compose their articles or their shops alike', () => {
  const copies = Object.values(VOICES)
  for (const page of ['article', 'shop'] as const) {
    const layouts = copies.map((copy) => JSON.stringify(copy[page].layout))
    expect(new Set(layouts).size).toBe(copies.length)
  }
})

it('every drawing that a trade names is there', () => {
  const missing = drawingsIn(VOICES).filter((name) => !DRAWING_NAMES.includes(name))
  expect(missing).toEqual([])
})

it.each(DRAWING_NAMES)('the drawing %s says what it shows, in paints that pages have', (name) => {
  const { label, width, height, shapes } = drawingOf(name)
  expect(label).not.toBe('')
  expect([width, height].every((size) => size >= 100)).toBe(true)
  const paint =
    /^(paper|mist|deep|light|skin|skin dark|leaf|sky|(primary|secondary|accent)( light| dark)?)$/
  expect(shapes.filter((one) => !paint.test(one.paint) || !one.outline)).toEqual([])
  expect(shapes.length).toBe(files[`./drawings/${name}.svg`]?.match(/<path /g)?.length)
})
