/** The server as the tests have it: what each call is answered with is said by the test. */
import { beforeEach } from 'vitest'
import type { ProblemDocument } from '@/api/types'

export interface Call {
  method: string
  path: string
  body: unknown
  token: string | null
}
type Answer = (call: Call) => unknown

/** Every call that was made, the oldest first. */
export const calls: Call[] = []
let answers = new Map<string, Answer>()

/** Say what a call is answered with: `PUT /api/takes/t1`. Answers may take their time. */
export function answer(call: string, by: Answer) {
  answers.set(call, by)
}

/** A refusal, as the server writes it. */
export class Refusal {
  constructor(readonly problem: Partial<ProblemDocument> & { status: number; detail: string }) {}
}

/** An answer that comes when the test lets it come. */
export function later<T>() {
  let release: (value: T) => void = () => undefined
  const promise = new Promise<T>((resolve) => (release = resolve))
  return {
    promise,
    release: (value: T) => {
      release(value)
    },
  }
}

/** Until everything that was waiting has run. */
export async function settled() {
  for (let turn = 0; turn < 20; turn++) await new Promise((resolve) => setTimeout(resolve))
}

globalThis.fetch = async (input) => {
  const request = input as Request
  const path = new URL(request.url).pathname
  const text = await request.text()
  const call: Call = {
    method: request.method,
    path,
    body: text ? JSON.parse(text) : undefined,
    token: request.headers.get('X-CSRF-Token'),
  }
  calls.push(call)
  const by = answers.get(`${call.method} ${path}`)
  if (!by) throw new TypeError(`nothing answers ${call.method} ${path}`)
  const said = await by(call)
  if (said instanceof Refusal)
    return Response.json(
      { type: 'about:blank', title: 'Refused', field: null, take: null, ...said.problem },
      { status: said.problem.status },
    )
  return Response.json(said)
}

beforeEach(() => {
  calls.length = 0
  answers = new Map([['GET /api/session', () => ({ csrf_token: 'a token' })]])
  localStorage.clear()
  sessionStorage.clear()
})
