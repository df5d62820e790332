/** A review that a server keeps, by the token in the page's address. */
import type { ClientReview, ProblemDocument, ReviewContent, Said } from '@/api/types'
import { followEvents } from '@/ui/useEvents'
import { Refusal } from './talk'
import type { Shown, Talk } from './talk'

const LOCKED = 'urn:tonada:passphrase-needed'
const TOKEN_REFUSED = 'urn:tonada:csrf-refused'
const PATIENCE_MS = 30_000

export function serverTalk(token: string): Talk {
  const api = `/api/review/${encodeURIComponent(token)}`
  let csrf = ''
  let review: ClientReview | undefined
  let content: ReviewContent | undefined

  async function ask<T>(method: string, rest: string, body?: unknown): Promise<T> {
    const answer = await send(method, rest, body)
    if (answer.ok) return (answer.status === 204 ? undefined : await answer.json()) as T
    const refusal = await refusalOf(answer)
    // The session may have gone while the page stood open: its token is read again, once.
    if (!refusal.isTokenRefused) throw refusal
    await open()
    const again = await send(method, rest, body)
    if (!again.ok) throw await refusalOf(again)
    return (again.status === 204 ? undefined : await again.json()) as T
  }

  async function send(method: string, rest: string, body: unknown): Promise<Response> {
    const headers: Record<string, string> = { 'X-CSRF-Token': csrf }
    if (body !== undefined) headers['Content-Type'] = 'application/json'
    try {
      return await fetch(`${api}${rest}`, {
        method,
        headers,
        signal: AbortSignal.timeout(PATIENCE_MS),
        ...(body !== undefined && { body: JSON.stringify(body) }),
      })
    } catch {
      throw new Refusal('There is no connection. Nothing was changed; try again in a moment.')
    }
  }

  async function open(): Promise<Shown> {
    // Both at once: on a slow line each question costs its way there and back.
    const [found, whole] = await Promise.all([
      ask<ClientReview>('GET', ''),
      content ?? ask<ReviewContent>('GET', '/content'),
    ])
    review = found
    content = whole
    csrf = review.csrf_token
    return {
      id: review.id,
      content,
      mayComment: review.may_comment,
      mayChoose: review.may_choose,
      mayApprove: review.may_approve,
      reader: review.reader,
      endsAt: review.ends_at ?? undefined,
      mostCharacters: review.most_characters,
      said: review.said,
    }
  }

  return {
    isOnline: true,
    open,
    unlock: (passphrase) => ask('POST', '/passphrase', { passphrase }),
    said: () => ask('GET', '/said'),
    say: ({ name, about, text, answers }) =>
      ask<Said>('POST', '/remarks', { name, about, text, answers: answers ?? null }),
    edit: (remark, text) => ask('PUT', `/remarks/${remark}`, { text }),
    takeBack: (remark) => ask('DELETE', `/remarks/${remark}`),
    choose: (name, place, reason) => ask('PUT', '/choice', { name, place, reason }),
    approve: (name, place) => ask('POST', '/approval', { name, place, agreed: true }),
    follow: (tell) => followEvents(`${api}/events`, tell),
    fileOf: (digest) => `${review?.files_address ?? ''}${digest}`,
    drawingHead: () => {
      const at = review?.pages_address ?? ''
      return `<link rel="stylesheet" href="${at}pages.css"><script src="${at}pages.js"></script>`
    },
  }
}

async function refusalOf(answer: Response): Promise<Refusal> {
  let problem: Partial<ProblemDocument> = {}
  try {
    problem = (await answer.json()) as Partial<ProblemDocument>
  } catch {
    // A proxy's own page says nothing to a client.
  }
  const said = problem.detail ?? 'The server could not answer. Try again in a moment.'
  const isOver = answer.status === 404 || answer.status === 410
  return new Refusal(said, problem.type === LOCKED, isOver, problem.type === TOKEN_REFUSED)
}
