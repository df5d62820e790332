/** Prints every text of the interface with its place, a line each, to be read as a whole. */
import { readFileSync, readdirSync } from 'node:fs'
import { parse } from 'vue/compiler-sfc'
import typescript from 'typescript'

const SAID = new Set(['title', 'label', 'text', 'description', 'placeholder', 'aria-label', 'own', 'alt'])
const ELEMENT = 1
const TEXT = 2
const INTERPOLATION = 5
const ATTRIBUTE = 6
const DIRECTIVE = 7

const files = readdirSync('src', { recursive: true }).filter(
  (one) => /\.(vue|ts)$/.test(one) && !/\.test\.ts$|schema\.d\.ts$|^testing/.test(one),
)
for (const file of files.sort()) {
  const code = readFileSync(`src/${file}`, 'utf8')
  if (file.endsWith('.ts')) ofScript(file, code, 1)
  else {
    const { descriptor } = parse(code)
    for (const script of [descriptor.script, descriptor.scriptSetup])
      if (script) ofScript(file, script.content, script.loc.start.line)
    if (descriptor.template?.ast) ofTemplate(file, descriptor.template.ast)
  }
}

function print(file, line, text) {
  const shown = text.replace(/\s+/g, ' ').trim()
  if (/\p{L}{2}/u.test(shown)) console.log(`${file}:${line}\t${shown}`)
}

function ofTemplate(file, node) {
  const { line } = node.loc.start
  if (node.type === TEXT) print(file, line, node.content)
  if (node.type === INTERPOLATION) ofExpression(file, node.content.content, line)
  if (node.type === ELEMENT)
    for (const one of node.props) {
      if (one.type === ATTRIBUTE && SAID.has(one.name) && one.value)
        print(file, one.loc.start.line, one.value.content)
      const isSaid = one.type === DIRECTIVE && one.name === 'bind' && SAID.has(one.arg?.content)
      if (isSaid && one.exp) ofExpression(file, one.exp.content, one.loc.start.line)
    }
  for (const child of node.children ?? []) ofTemplate(file, child)
}

/** Texts that an expression may come to, whatever their length. */
function ofExpression(file, code, line) {
  walk(source(`(${code})`), (text) => print(file, line, text))
}

/** In a script most strings are names of something: what is said has a capital or a space. */
function ofScript(file, code, first) {
  const read = source(code)
  walk(read, (text, start) => {
    const line = first + read.getLineAndCharacterOfPosition(start).line
    if (/^\p{Lu}\p{L}+$|\p{L}[,.:]? \p{L}/u.test(text) && !/[{};[\]<>]|^\w+-\w/.test(text)) print(file, line, text)
  })
}

function source(code) {
  return typescript.createSourceFile('one.ts', code, typescript.ScriptTarget.Latest, true)
}

function walk(node, found) {
  if (typescript.isImportDeclaration(node)) return
  if (typescript.isStringLiteralLike(node)) found(node.text, node.getStart())
  else if (typescript.isTemplateExpression(node)) {
    const parts = node.templateSpans.map((one) => `{${one.expression.getText()}}${one.literal.text}`)
    found(node.head.text + parts.join('').replace(/[[\]<>;]/g, ''), node.getStart())
    for (const one of node.templateSpans) walk(one.expression, found)
  } else typescript.forEachChild(node, (child) => walk(child, found))
}
