/**
 * A text of a page is typed over where it stands. A copy of it takes the letters, so that what draws the
 * page never meets a text that it didn’t write. Enter and leaving it are done, Escape gives up.
 */
export function typeOver(
  element: HTMLElement,
  most: number,
  done: (text: string | undefined) => void,
) {
  const window = element.ownerDocument.defaultView
  const copy = element.cloneNode(true) as HTMLElement
  for (const name of ['data-part', 'data-says', 'href', 'for']) copy.removeAttribute(name)
  copy.classList.add('is-typed')
  copy.setAttribute('contenteditable', 'plaintext-only')
  copy.setAttribute('role', 'textbox')
  copy.setAttribute('dir', 'auto')
  copy.setAttribute('aria-label', element.dataset.part ?? '')
  element.after(copy)
  element.classList.add('is-behind')
  copy.focus()
  window?.getSelection()?.selectAllChildren(copy)

  let isOver = false
  function end(text: string | undefined) {
    if (isOver) return
    isOver = true
    copy.remove()
    element.classList.remove('is-behind')
    done(text)
  }
  copy.addEventListener('blur', () => {
    end(inOneLine(copy.textContent))
  })
  copy.addEventListener('keydown', (event) => {
    event.stopPropagation()
    // While letters are being composed, as in Japanese, Enter chooses among them.
    if (event.isComposing) return
    if (event.key === 'Enter') event.preventDefault()
    if (event.key === 'Enter') end(inOneLine(copy.textContent))
    if (event.key === 'Escape') end(undefined)
  })
  copy.addEventListener('beforeinput', (event) => {
    const chosen = window?.getSelection()?.toString().length ?? 0
    const next = copy.textContent.length - chosen + (event.data?.length ?? 0)
    if (next > most && !event.inputType.startsWith('delete')) event.preventDefault()
  })
}

export const inOneLine = (text: string) => text.replaceAll(/\s+/g, ' ').trim()
