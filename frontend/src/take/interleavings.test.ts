/** Takes over a line that is slow, loses calls and answers, and changes their order.
 *
 * Whatever happens in between: what a take holds at the end is what was last written to that take.
 */
import { createPinia, disposePinia, setActivePinia } from 'pinia'
import type { Pinia } from 'pinia'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import type { Take, TakeDocument } from '@/api/types'
import { useTakeStore } from '@/take/take'
import { figuresOf, saved, swatch, takeOf } from '@/testing/takes'

// The tests run in Node, which has more than a browser.
declare function setImmediate(run: () => void): unknown
declare const process: { env: Record<string, string | undefined> }

const { INTERLEAVINGS, TONADA_TESTS } = process.env
const RUNS = Number(INTERLEAVINGS ?? (TONADA_TESTS === 'long' ? 1000 : 300))
const TAKES = ['t1', 't2', 't3']

/** Source: mulberry32, a small generator with a seed. */
function randomFrom(seed: number) {
  let state = seed
  return () => {
    state = (state + 0x6d2b79f5) | 0
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state)
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32
  }
}

const written = (text: string): TakeDocument =>
  takeOf({ swatches: [swatch('s1', text, '#2b3a8c')] })
const textOf = (document: TakeDocument | undefined) => document?.swatches[0]?.name ?? ''

interface Call {
  window: number
  arrive: () => void
  lose: () => void
}

/** A server with the rules of the real one, and a line that the test holds in its hand. */
class World {
  takes = new Map<string, Take>(
    TAKES.map((id) => [id, { ...saved(written(`${id} new`), 1), id, name: id }]),
  )
  everWritten: [string, string][] = []
  arriving: Call[] = []
  answering: Call[] = []
  window = 0
  refusing = 0

  request(method: string, path: string, body: unknown): Promise<Response> {
    const { window } = this
    if (path === '/api/session') return Promise.resolve(Response.json({ csrf_token: 'a token' }))
    return new Promise((resolve, reject) => {
      const lose = () => {
        reject(new TypeError('the connection broke'))
      }
      const arrive = () => {
        const { status, said } = this.serve(method, path, body)
        const answer = () => {
          resolve(Response.json(said, { status }))
        }
        this.answering.push({ window, arrive: answer, lose })
      }
      this.arriving.push({ window, arrive, lose })
    })
  }

  serve(method: string, path: string, body: unknown): { status: number; said: unknown } {
    if (path === '/api/evaluate')
      return { status: 200, said: figuresOf((body as { document: TakeDocument }).document) }
    if (this.refusing > 0) {
      this.refusing -= 1
      return { status: 503, said: { status: 503, detail: 'Not now.' } }
    }
    const [, , , id = '', part] = path.split('/')
    const take = this.takes.get(id)
    if (!take) throw new Error(path)
    if (part === 'evaluation')
      return {
        status: 200,
        said: { revision: take.revision, evaluation: figuresOf(take.document) },
      }
    if (method === 'GET') return { status: 200, said: take }
    const { document, revision } = body as { document: TakeDocument; revision: number }
    if (revision !== take.revision)
      return textOf(document) === textOf(take.document)
        ? { status: 200, said: take }
        : { status: 409, said: { status: 409, detail: 'Changed elsewhere.', take } }
    return { status: 200, said: this.write(id, document) }
  }

  write(id: string, document: TakeDocument): Take {
    const before = this.takes.get(id)
    if (!before) throw new Error(id)
    const next = { ...before, document, revision: before.revision + 1 }
    this.takes.set(id, next)
    this.everWritten.push([id, textOf(document)])
    return next
  }
}

/** Until everything that can go on has gone on. */
async function turn() {
  for (let round = 0; round < 4; round++)
    await new Promise<void>((resolve) => setImmediate(resolve))
}

let pinia: Pinia
function newWindow() {
  pinia = createPinia()
  setActivePinia(pinia)
  sessionStorage.clear()
}

beforeEach(() => {
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
})
afterEach(() => {
  vi.useRealTimers()
})

async function live(seed: number) {
  const random = randomFrom(seed)
  const pick = <T>(from: readonly T[]): T => from[Math.floor(random() * from.length)] as T
  const world = new World()
  globalThis.fetch = async (input) => {
    const request = input as Request
    const text = await request.text()
    return world.request(request.method, new URL(request.url).pathname, text && JSON.parse(text))
  }
  const expected = new Map(TAKES.map((id) => [id, `${id} new`]))
  const mayStay = new Map<string, string>()
  const story: string[] = []
  let edits = 0
  localStorage.clear()
  newWindow()

  /** A call or an answer, in any order; those of a window that is gone may still arrive. */
  const deliver = (line: Call[], verb: 'arrive' | 'lose') => {
    const [call] = line.splice(Math.floor(random() * line.length), 1)
    call?.[verb]()
  }
  const open = () => {
    const id = pick(TAKES)
    story.push(`open ${id}`)
    useTakeStore()
      .open(id)
      .catch(() => undefined)
  }
  const note = () => {
    const take = useTakeStore()
    if (!take.take || !take.document) return
    expected.set(take.take.id, textOf(take.document))
    // A step back to what was there before is nothing to write; what came from elsewhere then stays.
    const isBack = textOf(take.document) === textOf(take.take.document)
    const there = textOf(world.takes.get(take.take.id)?.document)
    mayStay.set(take.take.id, isBack && there.includes('theirs') ? there : '')
  }
  const acts: (() => void)[] = [
    open,
    () => {
      const take = useTakeStore()
      if (!take.take || !take.document) return
      const text = `${take.take.id} edit ${(edits += 1).toString()}`
      story.push(text)
      take.change(written(text))
      note()
    },
    () => {
      const take = useTakeStore()
      if (!take.canUndo) return
      story.push('undo')
      take.undo()
      note()
    },
    () => {
      const take = useTakeStore()
      if (!take.canRedo) return
      story.push('redo')
      take.redo()
      note()
    },
    () => {
      const id = pick(TAKES)
      const text = `${id} theirs ${(edits += 1).toString()}`
      story.push(text)
      world.write(id, written(text))
      expected.set(id, text)
    },
    () => {
      const take = useTakeStore()
      if (!take.conflict || !take.take) return
      story.push(`conflict in ${take.take.id}`)
      // What is there is kept; nothing of mine is sent any more.
      expected.set(take.take.id, textOf(world.takes.get(take.take.id)?.document))
      take.takeTheirs()
    },
    () => (world.refusing = Math.floor(random() * 3)),
    () => {
      story.push('crash')
      world.window += 1
      // The server may still hear of what was sent; nobody hears the answers.
      world.answering = []
      disposePinia(pinia)
      vi.clearAllTimers()
      newWindow()
      open()
    },
  ]
  const WEIGHTS = [2, 5, 1, 1, 0.4, 2, 0.6, 0.3]
  const whole = WEIGHTS.reduce((sum, weight) => sum + weight, 0)
  const act = () => {
    let at = random() * whole
    acts[WEIGHTS.findIndex((weight) => (at -= weight) < 0)]?.()
  }

  open()
  for (let step = 0; step < 40; step++) {
    const chance = random()
    if (chance < 0.4) act()
    else if (chance < 0.62) deliver(world.arriving, 'arrive')
    else if (chance < 0.86) deliver(world.answering, 'arrive')
    else if (chance < 0.9) deliver(world.arriving, 'lose')
    else if (chance < 0.94) deliver(world.answering, 'lose')
    else await vi.advanceTimersByTimeAsync(5000)
    await turn()
  }
  world.refusing = 0
  const settle = async () => {
    for (let round = 0; round < 40; round++) {
      for (const call of world.arriving.splice(0)) call.arrive()
      for (const call of world.answering.splice(0)) call.arrive()
      await turn()
      if (!world.arriving.length && !world.answering.length) {
        await vi.advanceTimersByTimeAsync(5000)
        await turn()
        if (!world.arriving.length) return
      }
    }
  }
  await settle()
  const reopen = async (id: string) => {
    const opening = useTakeStore().open(id)
    await settle()
    await opening
    await settle()
  }
  for (const id of TAKES) {
    await reopen(id)
    const take = useTakeStore()
    if (take.conflict) {
      expected.set(id, textOf(world.takes.get(id)?.document))
      take.takeTheirs()
      await reopen(id)
    }
    if (mayStay.get(id) === textOf(take.document)) expected.set(id, textOf(take.document))
    expect({ seed, story, id, state: take.saveState, shown: textOf(take.document) }).toEqual({
      seed,
      story,
      id,
      state: 'saved',
      shown: expected.get(id),
    })
    expect(textOf(world.takes.get(id)?.document)).toBe(expected.get(id))
  }
  for (const [id, text] of world.everWritten) expect(text.split(' ')[0]).toBe(id)
}

it.each(Array.from({ length: 10 }, (_, part) => part))(
  'what a take holds is what was last written to it, part %i',
  async (part) => {
    for (let seed = part; seed < RUNS; seed += 10) await live(seed)
  },
  120_000,
)
