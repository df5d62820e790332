import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope } from 'vue'
import type { EffectScope } from 'vue'
import { useKeptFocus } from './useKeptFocus'

let scope: EffectScope
const find = (id: string) => document.getElementById(id) as HTMLElement
/** What is done, and the time in which the focus is placed again. */
async function after(does: () => void) {
  does()
  // The browser tells of changes when the task ends.
  await Promise.resolve()
  await vi.advanceTimersByTimeAsync(100)
}
const focused = () => document.activeElement?.id

beforeEach(() => {
  vi.useFakeTimers()
  // The test's document draws nothing.
  HTMLElement.prototype.checkVisibility = () => true
  document.body.innerHTML = `<div id="app"><header><button id="menu">Menu</button></header>
    <main id="view" tabindex="-1">
      <ul id="list"><li><button id="one">One</button></li><li><button id="two">Two</button></li>
      <li><button id="three">Three</button></li></ul>
      <button id="below">Below</button></main></div>`
  scope = effectScope()
  scope.run(useKeptFocus)
})
afterEach(() => {
  scope.stop()
  vi.useRealTimers()
})

describe('the focus', () => {
  it('goes to the next one where what had it is taken away', async () => {
    find('two').focus()
    await after(() => {
      find('two').remove()
    })
    expect(focused()).toBe('three')
  })
  it('goes to the one before where there is no next', async () => {
    find('three').focus()
    await after(() => {
      find('three').parentElement?.remove()
    })
    expect(focused()).toBe('two')
  })
  it('goes to what was made in its place', async () => {
    find('two').focus()
    await after(() => {
      find('list').innerHTML =
        '<li><button id="new">New</button></li><li><button id="again">Two</button></li>'
    })
    expect(focused()).toBe('again')
  })
  it('goes to the view where everything around it is gone', async () => {
    find('one').focus()
    await after(() => {
      find('app').innerHTML = '<header></header><main id="other" tabindex="-1"></main>'
    })
    expect(focused()).toBe('other')
  })
  it('waits for a view that is still on its way', async () => {
    find('one').focus()
    await after(() => {
      find('app').innerHTML = '<header><a id="skip" href="#">Skip</a></header>'
    })
    expect(focused()).toBe('')
    find('app').insertAdjacentHTML('beforeend', '<main id="late" tabindex="-1"></main>')
    await vi.advanceTimersByTimeAsync(100)
    expect(focused()).toBe('late')
  })
  it('stays where an action placed it', async () => {
    find('two').focus()
    await after(() => {
      find('two').remove()
      find('menu').focus()
    })
    expect(focused()).toBe('menu')
  })
  it('is let go of by a press on nothing', async () => {
    find('two').focus()
    find('view').dispatchEvent(new Event('pointerdown', { bubbles: true }))
    find('two').blur()
    await after(() => {
      find('one').remove()
    })
    expect(focused()).toBe('')
  })
})
