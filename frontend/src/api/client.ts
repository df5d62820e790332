/** The one way to the server. A problem document becomes a ProblemError, whoever looks at the answer. */
import createClient from 'openapi-fetch'
import type { Middleware } from 'openapi-fetch'
import { noteBuild } from './build'
import type { paths } from './schema'
import type { ProblemDocument, Session } from './types'

export class ProblemError extends Error {
  constructor(readonly problem: ProblemDocument) {
    super(problem.detail)
    this.name = 'ProblemError'
  }
}

/** Something can't go on, for a reason of the page's own; the message is a sentence for the user. */
export class UserError extends Error {}

/** A call that gets no answer for so long is given up; nobody knows then whether it was carried out. */
const PATIENCE_MS = 30_000
/** A file may take as long as the line needs. */
const UPLOAD = /^\/api\/brands\/[^/]+\/sources$/
/** Computed only: nothing is changed, so nothing can be forged. */
const COMPUTED = new Set(['/api/evaluate', '/api/changes', '/api/palettes/search'])

const client = createClient<paths>({ baseUrl: location.origin, fetch: fetchWithToken })
let session: Promise<Session> | undefined

/** Thrown here, so that no call can go on as if it had been carried out. */
const refusals: Middleware = {
  async onResponse({ response }) {
    if (!response.ok) throw new ProblemError(await readProblem(response))
  },
}
client.use(refusals)

export const api = client

/** Sends the token with every change. Where it is refused, it is read again once and the call repeated. */
async function fetchWithToken(request: Request): Promise<Response> {
  const path = new URL(request.url).pathname
  if (request.method === 'GET' || COMPUTED.has(path)) return patiently(request)
  const again = request.clone()
  const response = await patiently(await withToken(request))
  if (response.status !== 403 || !(await isTokenRefused(response.clone()))) return response
  session = undefined
  return patiently(await withToken(again))
}

async function patiently(request: Request): Promise<Response> {
  const response = UPLOAD.test(new URL(request.url).pathname)
    ? await fetch(request)
    : await fetch(request, {
        signal: AbortSignal.any([request.signal, AbortSignal.timeout(PATIENCE_MS)]),
      })
  noteBuild(response)
  return response
}

async function withToken(request: Request): Promise<Request> {
  request.headers.set('X-CSRF-Token', (await readSession()).csrf_token)
  return request
}

const isTokenRefused = async (response: Response) =>
  (await readProblem(response)).type === 'urn:tonada:csrf-refused'

/** The token, the limits and the greys of the contrast scale; asked for once. */
export function readSession(): Promise<Session> {
  session ??= answerOf(client.GET('/api/session')).catch((reason: unknown) => {
    session = undefined
    throw reason
  })
  return session
}

/** Return what a call answered; throw a ProblemError where it answered nothing. */
export async function answerOf<T>(call: Promise<{ data?: T; error?: unknown }>): Promise<T> {
  const { data } = await call
  if (data === undefined) throw new ProblemError(unreadable(0))
  return data
}

async function readProblem(response: Response): Promise<ProblemDocument> {
  try {
    const found: unknown = await response.json()
    return isProblem(found) ? found : unreadable(response.status)
  } catch {
    return unreadable(response.status)
  }
}

const unreadable = (status: number): ProblemDocument => ({
  type: 'about:blank',
  title: 'No answer',
  status,
  detail: 'The server’s answer can’t be read.',
  field: null,
  take: null,
  restoration: null,
})

function isProblem(error: unknown): error is ProblemDocument {
  return typeof error === 'object' && error !== null && 'status' in error && 'detail' in error
}

/** Whether the server could not be asked, or could not answer now: the same call may go through later. */
export function isUnreachable(reason: unknown): boolean {
  if (!(reason instanceof ProblemError)) return true
  const { status } = reason.problem
  return status === 0 || status === 408 || status === 429 || status >= 500
}

/** A sentence for a person, whatever went wrong. */
export function explain(reason: unknown): string {
  if (reason instanceof ProblemError || reason instanceof UserError) return reason.message
  if (reason instanceof TypeError || isTimeout(reason))
    return 'The server can’t be reached. Nothing was changed; try again when it is back.'
  return 'Something went wrong. Nothing was changed.'
}

const isTimeout = (reason: unknown) =>
  reason instanceof DOMException && reason.name === 'TimeoutError'
