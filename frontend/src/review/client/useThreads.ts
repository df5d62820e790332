import { computed } from 'vue'
import type { Remark, Said } from '@/api/types'

export interface Thread {
  id: string
  number: number
  first: Remark
  remarks: readonly Remark[]
  /** “Opening’s heading, Midnight” */
  about: string
}

/** Remarks with their answers, numbered in the order in which they came. */
export function useThreads(said: () => Said, takes: () => readonly { name: string }[]) {
  return computed<readonly Thread[]>(() => {
    const { remarks } = said()
    return remarks
      .filter((one) => one.answers === null)
      .map((first, row) => ({
        id: first.id,
        number: row + 1,
        first,
        remarks: [first, ...remarks.filter((one) => one.answers === first.id)],
        about: aboutOf(first, takes()),
      }))
  })
}

function aboutOf({ about }: Remark, takes: readonly { name: string }[]): string {
  const take = about.place === null ? undefined : takes[about.place]?.name
  const what = about.name || (take ? '' : 'General')
  return [what, takes.length > 1 || !what ? take : undefined].filter(Boolean).join(', ')
}
