/** A stream is held by a window that is seen, and by no other. */
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { followEvents } from './useEvents'

class Stream {
  static all: Stream[] = []
  isClosed = false
  tell: (() => void) | undefined
  constructor(readonly address: string) {
    Stream.all.push(this)
  }
  addEventListener(name: string, tell: () => void) {
    if (name === 'new') this.tell = tell
  }
  close() {
    this.isClosed = true
  }
}
let isSeen = true
const turn = (next: boolean) => {
  isSeen = next
  document.dispatchEvent(new Event('visibilitychange'))
}
beforeEach(() => {
  Stream.all = []
  isSeen = true
  vi.stubGlobal('EventSource', Stream)
  vi.spyOn(document, 'visibilityState', 'get').mockImplementation(() =>
    isSeen ? 'visible' : 'hidden',
  )
})
afterEach(() => {
  vi.restoreAllMocks()
})

it('tells of what is new', () => {
  const told = vi.fn()
  const stop = followEvents('/events', told)
  Stream.all[0]?.tell?.()
  expect([Stream.all[0]?.address, told.mock.calls.length]).toEqual(['/events', 1])
  stop()
  expect(Stream.all[0]?.isClosed).toBe(true)
})

it('lets go while nobody looks, and comes back', () => {
  const stop = followEvents('/events', () => undefined)
  turn(false)
  expect(Stream.all[0]?.isClosed).toBe(true)
  turn(true)
  turn(true)
  expect(Stream.all.map((one) => one.isClosed)).toEqual([true, false])
  stop()
  turn(false)
  turn(true)
  expect(Stream.all).toHaveLength(2)
})

it('waits with opening until somebody looks', () => {
  isSeen = false
  const stop = followEvents('/events', () => undefined)
  expect(Stream.all).toHaveLength(0)
  turn(true)
  expect(Stream.all).toHaveLength(1)
  stop()
})
