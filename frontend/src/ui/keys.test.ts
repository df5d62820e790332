import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope } from 'vue'
import type { EffectScope } from 'vue'
import { useEscape, useShortcut, useSingleKeys } from './keys'

let scope: EffectScope
const did = { undo: vi.fn(), copy: vi.fn(), next: vi.fn() }

/** Press a key on the element that a line of HTML makes. */
function press(html: string, init: KeyboardEventInit): KeyboardEvent {
  document.body.innerHTML = html
  const event = new KeyboardEvent('keydown', { bubbles: true, cancelable: true, ...init })
  ;(document.querySelector('[data-here]') ?? document.body).dispatchEvent(event)
  return event
}
const UNDO = { key: 'z', ctrlKey: true }

beforeEach(() => {
  scope = effectScope()
  scope.run(() => {
    useShortcut('undo', did.undo)
    useShortcut('copy', did.copy)
    useShortcut('next', did.next)
  })
})
afterEach(() => {
  scope.stop()
  vi.clearAllMocks()
  useSingleKeys().value = true
  document.body.innerHTML = ''
})

describe('keys that work everywhere', () => {
  it.each([
    '<input type="range" data-here>',
    '<input type="checkbox" data-here>',
    '<button aria-expanded="true" data-here>Unfolded</button>',
    '<select data-here></select>',
  ])('undoes from %s', (html) => {
    expect(press(html, UNDO).defaultPrevented).toBe(true)
    expect(did.undo).toHaveBeenCalledOnce()
  })
  it.each([
    '<input data-here>',
    '<input type="number" data-here>',
    '<textarea data-here></textarea>',
    '<div contenteditable data-here></div>',
    '<button data-here></button><div role="dialog"></div>',
    '<button data-here></button><ul role="menu"></ul>',
  ])('leaves %s its own undoing', (html) => {
    expect(press(html, UNDO).defaultPrevented).toBe(false)
    expect(did.undo).not.toHaveBeenCalled()
  })
  it('leaves letters and arrows to what looks or walks by them', () => {
    press('<select data-here></select>', { key: 'c' })
    press('<button aria-expanded="true" data-here></button>', { key: 'c' })
    press('<div role="slider" data-here></div>', { key: 'ArrowDown' })
    press('<div role="radiogroup"><i data-here></i></div>', { key: 'ArrowUp' })
    expect(did.copy).not.toHaveBeenCalled()
    expect(did.next).not.toHaveBeenCalled()
    press('<div role="slider" data-here></div>', { key: 'c' })
    press('<button data-here></button>', { key: 'ArrowDown' })
    expect(did.copy).toHaveBeenCalledOnce()
    expect(did.next).toHaveBeenCalledOnce()
  })
  it('has no single letters where they are switched off', () => {
    useSingleKeys().value = false
    press('', { key: 'c' })
    expect(did.copy).not.toHaveBeenCalled()
    press('', UNDO)
    expect(did.undo).toHaveBeenCalledOnce()
  })
  it('does nothing of what is gone', () => {
    scope.stop()
    press('', UNDO)
    expect(did.undo).not.toHaveBeenCalled()
  })
})

describe('Escape', () => {
  it('gives up what is under way before anyone else hears of it', () => {
    const cancel = vi.fn()
    const heard = vi.fn()
    let isActive = true
    scope.run(() => {
      useEscape(() => isActive, cancel)
    })
    window.addEventListener('keydown', heard)
    document.body.innerHTML = '<i data-here></i>'
    press('<i data-here></i>', { key: 'Escape' })
    expect(cancel).toHaveBeenCalledOnce()
    isActive = false
    press('<i data-here></i>', { key: 'Escape' })
    expect(cancel).toHaveBeenCalledOnce()
    expect(heard).toHaveBeenCalledOnce()
    window.removeEventListener('keydown', heard)
  })
})
