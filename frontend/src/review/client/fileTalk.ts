/** A review that came as a file: what is said stays in this browser until it is sent back. */
import type { About, Remark, ReviewContent, Said } from '@/api/types'
import { Refusal } from './talk'
import type { NewRemark, Shown, Talk } from './talk'

/** What the file holds; see review/one_file.py. */
export interface Embedded {
  review: string
  content: ReviewContent
  may_comment: boolean
  may_choose: boolean
  may_approve: boolean
  files: Record<string, string>
  pages: { script: string; style: string }
}

/** What travels back, by no API; see document/review.py. A test of the whole way holds the two together. */
interface OutsideAnswers {
  format: 'tonada-review-answers'
  version: 1
  review: string
  key: string
  name: string
  remarks: readonly { key: string; about: About; text: string }[]
  choice: { place: number | null; reason: string; at: string } | null
  approved: { place: number; at: string } | null
}

interface OwnRemark {
  key: string
  about: About
  text: string
  at: string
}
interface Own {
  key: string
  name: string
  remarks: OwnRemark[]
  choice: { place: number | null; reason: string; at: string } | null
  approved: { place: number; at: string } | null
}

export interface Keeping {
  getItem: (key: string) => string | null
  setItem: (key: string, value: string) => void
}

export function fileTalk(embedded: Embedded, keeping: Keeping | undefined): Talk {
  const shelf = `tonada-review-${embedded.review}`
  const own = restored(keeping, shelf)

  function keep(): Said {
    try {
      keeping?.setItem(shelf, JSON.stringify(own))
    } catch {
      // A browser that keeps nothing of files still lets them be answered in one go.
    }
    return said()
  }

  function said(): Said {
    const remarks = own.remarks.map<Remark>((one) => ({
      id: one.key,
      answers: null,
      about: one.about,
      author: own.name,
      is_designer: false,
      is_own: true,
      text: one.text,
      created_at: one.at,
      edited_at: null,
      is_taken_back: false,
      is_resolved: false,
    }))
    const { choice, approved } = own
    const take = approved && embedded.content.takes[approved.place]
    return {
      remarks,
      choices: choice ? [{ who: own.name, is_own: true, ...choice }] : [],
      approval:
        approved && take
          ? {
              who: own.name,
              place: approved.place,
              name: take.name,
              version: take.version,
              digest: take.digest,
              take: embedded.review,
              at: approved.at,
            }
          : null,
    }
  }

  function found(key: string): OwnRemark {
    const one = own.remarks.find((each) => each.key === key)
    if (!one) throw new Refusal('This remark no longer exists.')
    return one
  }

  return {
    isOnline: false,
    open: () =>
      Promise.resolve<Shown>({
        id: embedded.review,
        content: embedded.content,
        mayComment: embedded.may_comment,
        mayChoose: embedded.may_choose,
        mayApprove: embedded.may_approve,
        reader: '',
        endsAt: undefined,
        mostCharacters: 2000,
        said: said(),
      }),
    unlock: () => Promise.resolve(),
    said: () => Promise.resolve(said()),
    say: ({ name, about, text }: NewRemark) => {
      own.name = name
      own.remarks.push({ key: newKey(), about, text: text.trim(), at: now() })
      return Promise.resolve(keep())
    },
    edit: (key, text) => {
      found(key).text = text.trim()
      return Promise.resolve(keep())
    },
    takeBack: (key) => {
      own.remarks = own.remarks.filter((one) => one.key !== key)
      return Promise.resolve(keep())
    },
    choose: (name, place, reason) => {
      Object.assign(own, { name, choice: { place, reason, at: now() } })
      return Promise.resolve(keep())
    },
    approve: (name, place) => {
      Object.assign(own, { name, approved: { place, at: now() } })
      return Promise.resolve(keep())
    },
    follow: () => () => undefined,
    fileOf: (digest) => embedded.files[digest] ?? '',
    drawingHead: () =>
      `<style>${embedded.pages.style}</style><script>${embedded.pages.script}</script>`,
    answers: (name) => {
      const answers: OutsideAnswers = {
        format: 'tonada-review-answers',
        version: 1,
        review: embedded.review,
        key: own.key,
        name: name || own.name || 'Somebody',
        remarks: own.remarks.map(({ key, about, text }) => ({ key, about, text })),
        choice: own.choice,
        approved: own.approved,
      }
      const file = `${JSON.stringify(answers, null, 1)}\n`
      return { file, text: packed(JSON.stringify(answers)) }
    },
  }
}

/** In letters that no mail program changes, in lines that none breaks. See review/answers.py. */
export function packed(text: string): string {
  const bytes = new TextEncoder().encode(text)
  const letters = btoa(Array.from(bytes, (one) => String.fromCharCode(one)).join(''))
  const lines = letters.match(/.{1,64}/g) ?? []
  return ['TONADA ANSWERS', ...lines, 'END OF ANSWERS', ''].join('\n')
}

function restored(keeping: Keeping | undefined, shelf: string): Own {
  const fresh: Own = { key: newKey(), name: '', remarks: [], choice: null, approved: null }
  try {
    const kept: unknown = JSON.parse(keeping?.getItem(shelf) ?? 'null')
    return kept && typeof kept === 'object' && 'key' in kept
      ? { ...fresh, ...(kept as Own) }
      : fresh
  } catch {
    return fresh
  }
}

const now = () => new Date().toISOString()
/** Also where the browser makes no UUIDs, as for a file in some. */
const newKey = () =>
  Array.from(crypto.getRandomValues(new Uint8Array(16)), (one) =>
    one.toString(16).padStart(2, '0'),
  ).join('')
