/** How a client's page speaks with whoever keeps the review: a server, or the file that it came in. */
import type { About, ReviewContent, Said } from '@/api/types'

/** What a client sees, and what they may do. */
export interface Shown {
  id: string
  content: ReviewContent
  mayComment: boolean
  mayChoose: boolean
  mayApprove: boolean
  /** For whom the link was made, or empty. */
  reader: string
  endsAt: string | undefined
  mostCharacters: number
  said: Said
}

export interface NewRemark {
  name: string
  about: About
  text: string
  answers?: string | undefined
}

export interface Talk {
  /** Whether what is said travels by itself; else it is saved as a file, and sent. */
  isOnline: boolean
  open: () => Promise<Shown>
  unlock: (passphrase: string) => Promise<void>
  said: () => Promise<Said>
  say: (remark: NewRemark) => Promise<Said>
  edit: (remark: string, text: string) => Promise<Said>
  takeBack: (remark: string) => Promise<Said>
  choose: (name: string, place: number | null, reason: string) => Promise<Said>
  approve: (name: string, place: number) => Promise<Said>
  /** Tell whenever something is new; return what ends it. */
  follow: (tell: () => void) => () => void
  /** The address of a picture or a sheet. */
  fileOf: (digest: string) => string
  /** The head of the document that the sample pages are drawn in. */
  drawingHead: () => string
  /** What was answered so far, to be sent back: a file's content and a text to paste. */
  answers?: (name: string) => { file: string; text: string }
}

/** A refusal in words for a client. isLocked: a passphrase is needed. isOver: nothing is here any more. */
export class Refusal extends Error {
  constructor(
    message: string,
    readonly isLocked = false,
    readonly isOver = false,
    readonly isTokenRefused = false,
  ) {
    super(message)
  }
}
