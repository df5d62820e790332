/**
 * Every key in one table: those that work wherever the focus is are listened for here, once, and the sheet
 * of keys is made from the table.
 */
import { createSharedComposable, useEventListener, useLocalStorage } from '@vueuse/core'
import { onScopeDispose } from 'vue'

interface Shortcut {
  /** As the sheet of keys says it. */
  keys: string
  does: string
  /** Without it, what has the focus listens itself. */
  matches?: (event: KeyboardEvent) => boolean
  /** A character without Control: it can be switched off (WCAG 2.2, 2.1.4). */
  isSingle?: true
}

const hasCommand = (event: KeyboardEvent) => event.ctrlKey || event.metaKey
const isPlain = (event: KeyboardEvent) => !hasCommand(event) && !event.altKey
const isLetter = (event: KeyboardEvent, letter: string) =>
  isPlain(event) && event.key.toLowerCase() === letter

export const SHORTCUTS = {
  undo: {
    keys: 'Ctrl Z',
    does: 'Undo',
    matches: (event) => hasCommand(event) && !event.shiftKey && event.key.toLowerCase() === 'z',
  },
  redo: {
    keys: 'Ctrl Shift Z',
    does: 'Redo',
    matches: (event) => hasCommand(event) && event.shiftKey && event.key.toLowerCase() === 'z',
  },
  walk: { keys: 'Tab, arrows, Enter', does: 'Move, choose, open' },
  note: { keys: 'Arrows on a note', does: 'Hue and contrast, with Shift in tens' },
  chroma: { keys: '+ and − on a note', does: 'More and less chroma' },
  hold: { keys: 'H on a note', does: 'Hold or release' },
  remove: { keys: 'Delete on a note', does: 'Remove the swatch, if it has no role' },
  flag: { keys: 'Arrows on a role’s flag', does: 'To another step or ramp' },
  swap: {
    keys: 'Shift and an arrow on a colour of the measure',
    does: 'Swap its role with its neighbour’s',
  },
  edge: { keys: 'Arrows on an edge of the measure', does: 'More or less of the page' },
  paste: { keys: 'Ctrl V', does: 'Paste an image or colours as a source' },
  magnifier: { keys: 'Arrows on a picture', does: 'Move the magnifier a pixel, with Shift ten' },
  take: { keys: 'Enter on a picture', does: 'Add the colour under the magnifier' },
  copy: {
    keys: 'C on a slot sheet',
    does: 'Copy the slot and go to the next',
    matches: (event) => isLetter(event, 'c'),
    isSingle: true,
  },
  next: {
    keys: 'Arrows on a slot sheet',
    does: 'To the next slot or the one before',
    matches: (event) => isPlain(event) && (event.key === 'ArrowDown' || event.key === 'ArrowUp'),
  },
  cancel: { keys: 'Escape', does: 'Give up a drag; close a list, a sheet or a leaf' },
  words: {
    keys: 'W',
    does: 'What the words mean',
    matches: (event) => isLetter(event, 'w'),
    isSingle: true,
  },
  sheet: {
    keys: '?',
    does: 'This sheet',
    matches: (event) => isPlain(event) && event.key === '?',
    isSingle: true,
  },
} as const satisfies Readonly<Record<string, Shortcut>>
export type ShortcutId = keyof typeof SHORTCUTS

const isOn = useLocalStorage('tonada-single-keys', true)
const handlers = new Map<ShortcutId, (event: KeyboardEvent) => void>()

/** What is open over the page has the keys to itself. */
const OVER = '[role="dialog"], [role="listbox"], [role="menu"]'
/** Where letters are typed. */
const TYPED =
  'textarea, [contenteditable], [role="combobox"], input:not([type="range"], [type="checkbox"], [type="radio"], [type="button"], [type="submit"], [type="color"], [type="file"])'
/** Where a letter looks for what begins with it. */
const LOOKS_FOR = 'select, [aria-expanded="true"]'
/** Where arrows mean something of their own. */
const HAS_ARROWS =
  'input, select, [aria-expanded="true"], [role="radiogroup"], [role="slider"], [role="separator"], [role="tablist"], button[aria-haspopup]'

/** An element of a frame is no instance of this window's Element. */
const isElement = (target: EventTarget | null): target is Element =>
  target !== null && 'closest' in target

/** Do what a key is for, unless what has the focus needs it itself. Frames tell of their keys here. */
export function pressed(event: KeyboardEvent) {
  if (event.defaultPrevented || event.isComposing || document.querySelector(OVER)) return
  const isIn = (places: string) => isElement(event.target) && event.target.closest(places) !== null
  if (isIn(TYPED)) return
  for (const [id, handler] of handlers) {
    const shortcut: Shortcut = SHORTCUTS[id]
    if (!shortcut.matches?.(event)) continue
    if (shortcut.isSingle && (!isOn.value || isIn(LOOKS_FOR))) continue
    if (id === 'next' && isIn(HAS_ARROWS)) continue
    event.preventDefault()
    handler(event)
    return
  }
}

const useListening = createSharedComposable(() => useEventListener(window, 'keydown', pressed))

/** While the component is there, the key does this. */
export function useShortcut(id: ShortcutId, handler: (event: KeyboardEvent) => void) {
  useListening()
  handlers.set(id, handler)
  onScopeDispose(() => {
    if (handlers.get(id) === handler) handlers.delete(id)
  })
}

/** Whether characters without Control work. */
export const useSingleKeys = () => isOn

/** Escape gives up a gesture, before it means anything else to anyone. */
export function useEscape(isActive: () => boolean, cancel: () => void) {
  useEventListener(
    window,
    'keydown',
    (event) => {
      if (event.key !== 'Escape' || !isActive()) return
      event.preventDefault()
      event.stopPropagation()
      cancel()
    },
    { capture: true },
  )
}
