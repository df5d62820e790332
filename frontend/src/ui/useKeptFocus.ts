import { useEventListener, useMutationObserver } from '@vueuse/core'

/** What can have the focus. */
const FOCUSABLE =
  'a[href], button:not(:disabled), input:not(:disabled), select:not(:disabled), textarea:not(:disabled), [tabindex]:not([tabindex="-1"])'

/** What was asked for may place the focus itself, and a view may still be on its way. */
const WAIT_MS = 60
const MOST_TRIES = 50

interface Stand {
  element: HTMLElement
  /** From the nearest outwards. */
  around: Element[]
  before: HTMLElement[]
  after: HTMLElement[]
  name: string
}

const nameOf = (element: Element) =>
  `${element.tagName} ${element.getAttribute('aria-label') ?? element.textContent.trim()}`
const isThere = (element: HTMLElement) =>
  element.isConnected && element.matches(FOCUSABLE) && element.checkVisibility()
const focusables = (inside: ParentNode) => [...inside.querySelectorAll<HTMLElement>(FOCUSABLE)]

function standOf(element: HTMLElement): Stand {
  const around: Element[] = []
  for (let one = element.parentElement; one; one = one.parentElement) around.push(one)
  const all = focusables(document)
  const place = all.indexOf(element)
  return {
    element,
    around,
    before: all.slice(0, Math.max(0, place)).reverse(),
    after: all.slice(place + 1),
    name: nameOf(element),
  }
}

/**
 * Where to go from an element that is gone: to the one that was made in its place, else to the next one in
 * what was around it, else to the one before.
 */
function neighbour({ element, around, before, after, name }: Stand): HTMLElement | undefined {
  if (isThere(element)) return element
  for (const place of around) {
    // Beyond it everything is: not beside what is gone any more.
    if (place.matches('body, #app') || place.querySelector('main, header')) break
    if (!place.isConnected) continue
    const inside = focusables(place).filter(isThere)
    const found =
      inside.find((one) => nameOf(one) === name) ??
      after.find((one) => place.contains(one) && isThere(one)) ??
      before.find((one) => place.contains(one) && isThere(one)) ??
      inside[0]
    if (found) return found
  }
  // Another view has taken its place.
  const view = document.querySelector<HTMLElement>('main')
  if (view?.tabIndex === -1) return view
  return view ? focusables(view).find(isThere) : undefined
}

/**
 * The focus is never lost: where what had it is taken away, or can't be used any more, what stands beside
 * has it next. A press on nothing lets go of it, as ever.
 */
export function useKeptFocus() {
  let last: Stand | undefined
  let isWaiting = false
  let tries = 0

  useEventListener(document, 'focusin', ({ target }) => {
    if (target instanceof HTMLElement && target !== document.body) {
      last = standOf(target)
      tries = 0
    }
  })
  useEventListener(
    document,
    'pointerdown',
    ({ target }) => {
      if (target instanceof Element && !target.closest(`${FOCUSABLE}, label`)) last = undefined
    },
    { capture: true },
  )

  function look() {
    isWaiting = false
    if (!last) return
    const { activeElement: now } = document
    const isLost = now === null || now === document.body || now.matches(':disabled')
    if (!isLost) return
    const next = neighbour(last)
    tries += 1
    if (next) next.focus()
    else if (tries < MOST_TRIES) lookSoon()
  }
  /**
   * After what is being done is done: whoever does it may place the focus itself, and a browser takes it from
   * what is hidden or disabled only when it draws again. Nothing is asked here: it would be at every frame of a drag.
   */
  function lookSoon() {
    if (isWaiting || !last) return
    isWaiting = true
    setTimeout(look, WAIT_MS)
  }
  useMutationObserver(document.body, lookSoon, {
    childList: true,
    subtree: true,
    attributeFilter: ['disabled', 'style', 'class', 'hidden'],
  })
}
