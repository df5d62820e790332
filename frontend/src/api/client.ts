/** The one way to the server. A problem document becomes a ProblemError. */
import createClient from 'openapi-fetch'
import type { paths } from './schema'
import type { ProblemDocument, Session } from './types'

export class ProblemError extends Error {
  constructor(readonly problem: ProblemDocument) {
    super(problem.detail)
    this.name = 'ProblemError'
  }
}

const client = createClient<paths>({ baseUrl: location.origin })
let session: Promise<Session> | undefined

client.use({
  async onRequest({ request, schemaPath }) {
    if (request.method !== 'GET' && schemaPath !== '/api/evaluate') {
      request.headers.set('X-CSRF-Token', (await readSession()).csrf_token)
    }
  },
})

export const api = client

/** The token, the limits and the greys of the contrast scale; asked for once. */
export function readSession(): Promise<Session> {
  session ??= given(client.GET('/api/session')).catch((reason: unknown) => {
    session = undefined
    throw reason
  })
  return session
}

/** Return what a call answered; throw a ProblemError where it answered a problem. */
export async function given<T>(call: Promise<{ data?: T; error?: unknown }>): Promise<T> {
  const { data, error } = await call
  if (data === undefined || error !== undefined) throw new ProblemError(asProblem(error))
  return data
}

function asProblem(error: unknown): ProblemDocument {
  if (isProblem(error)) return error
  return {
    type: 'about:blank',
    title: 'No answer',
    status: 0,
    detail: 'The server’s answer can’t be read.',
    field: null,
    take: null,
  }
}

function isProblem(error: unknown): error is ProblemDocument {
  return typeof error === 'object' && error !== null && 'status' in error && 'detail' in error
}

/** A sentence for a person, whatever went wrong. */
export function explain(reason: unknown): string {
  if (reason instanceof ProblemError) return reason.message
  if (reason instanceof TypeError)
    return 'The server can’t be reached. What you see is kept; try again when it is back.'
  return 'Something went wrong. Nothing was changed.'
}
