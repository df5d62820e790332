/** The numbers on a sample page: each at the part that a remark hangs on. They are drawn in its own document. */

export interface Mark {
  id: string
  number: number
  part: string
  /** What a screen reader says of it. */
  label: string
}

const SIZE = 24

/** Put the marks on a page again. scale: of the page, so that a number stays as large as it is. */
export function drawMarks(
  page: Document,
  marks: readonly Mark[],
  scale: number,
  choose: (id: string) => void,
) {
  const layer = page.createElement('div')
  layer.dataset.marks = ''
  const taken = new Map<string, number>()
  for (const mark of marks) {
    const element = elementAt(page, mark.part)
    if (!element) continue
    const beside = taken.get(mark.part) ?? 0
    taken.set(mark.part, beside + 1)
    layer.append(buttonOf(page, mark, element, scale, beside, choose))
  }
  page.querySelector('[data-marks]')?.remove()
  if (layer.childElementCount) page.documentElement.append(layer)
}

/** A part by its name; a button’s face and label are one thing to a client. */
export const elementAt = (page: Document, part: string) =>
  page.querySelector<HTMLElement>(`[data-part="${CSS.escape(part)}"]`) ??
  page.querySelector<HTMLElement>(`[data-part="${CSS.escape(`${part}, background`)}"]`) ??
  page.querySelector<HTMLElement>(`[data-section="${CSS.escape(part)}"]`)

function buttonOf(
  page: Document,
  mark: Mark,
  element: HTMLElement,
  scale: number,
  beside: number,
  choose: (id: string) => void,
) {
  const button = page.createElement('button')
  const box = firstLineOf(element)
  const { scrollX = 0, scrollY = 0, innerWidth = box.right } = page.defaultView ?? {}
  const size = SIZE / scale
  const left = Math.min(box.right + scrollX + beside * size, innerWidth - size)
  Object.assign(button.style, {
    position: 'absolute',
    left: `${left.toString()}px`,
    top: `${Math.max(0, box.top + scrollY - size / 2).toString()}px`,
    width: `${size.toString()}px`,
    height: `${size.toString()}px`,
    font: `700 ${(13 / scale).toString()}px/1 sans-serif`,
    color: '#ffffff',
    background: '#161616',
    border: `${(2 / scale).toString()}px solid #ffffff`,
    zIndex: '9',
    cursor: 'pointer',
  })
  button.type = 'button'
  button.textContent = mark.number.toString()
  button.setAttribute('aria-label', mark.label)
  button.addEventListener('click', (event) => {
    event.stopPropagation()
    choose(mark.id)
  })
  return button
}

/** Where the words of a part begin and end, not the whole width that it may take. */
function firstLineOf(element: HTMLElement): DOMRect {
  // A button is as wide as its background, not as its label.
  if (element.dataset.element === 'button background') return element.getBoundingClientRect()
  const range = element.ownerDocument.createRange()
  range.selectNodeContents(element)
  const [line] = range.getClientRects()
  return line?.width ? line : element.getBoundingClientRect()
}

/** What a client has touched: a part, or else the section around it. */
export function touchedPart(target: EventTarget | null): HTMLElement | undefined {
  if (!target || !('closest' in target)) return undefined
  const element = target as Element
  return (
    element.closest<HTMLElement>('[data-part]') ??
    element.closest<HTMLElement>('[data-section]') ??
    undefined
  )
}

/** “Call’s button, label” is the button to a client. */
export const nameOfPart = (element: HTMLElement) =>
  (element.dataset.part ?? element.dataset.section ?? '').replace(/, (background|label)$/, '')

/** The parts of a page, each once, in their order: to be chosen from by whoever doesn’t point. */
export function partNames(page: Document): string[] {
  const names = [...page.querySelectorAll<HTMLElement>('[data-part]')].map(nameOfPart)
  return [...new Set(names)]
}
