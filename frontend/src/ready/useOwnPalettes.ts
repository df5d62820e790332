/** The studio's own palettes: kept, renamed, starred, deleted with a way back, exported and imported. */
import { ref, shallowRef } from 'vue'
import { api, explain, answerOf } from '@/api/client'
import type { Palette, TakeDocument } from '@/api/types'
import { countOf } from '@/ui/format'

/** changed: a palette is another one now; listed: there are others in the list. */
export function useOwnPalettes(on: { changed: (palette: Palette) => void; listed: () => unknown }) {
  const problem = ref('')
  const said = ref<readonly string[]>([])
  const gone = shallowRef<Palette>()
  /** How many pages are still to be proven, while that goes on. */
  const left = ref(0)

  async function attempt(work: () => Promise<unknown>) {
    problem.value = ''
    said.value = []
    try {
      await work()
    } catch (reason) {
      problem.value = explain(reason)
    }
  }
  const path = (palette: Palette) => ({ params: { path: { palette_id: palette.id } } })

  const star = (palette: Palette) =>
    attempt(async () => {
      const starred = !palette.is_starred
      await api.PUT('/api/palettes/{palette_id}/star', { ...path(palette), body: { starred } })
      on.changed({ ...palette, is_starred: starred })
    })

  const keep = (name: string, tags: string[], document: TakeDocument) =>
    attempt(async () => {
      const kept = await answerOf(api.POST('/api/palettes', { body: { name, tags, document } }))
      said.value = [`“${kept.name}” is one of the studio’s palettes now.`]
      await on.listed()
    })

  const change = (palette: Palette, name: string, tags: string[]) =>
    attempt(async () => {
      const body = { name, tags }
      on.changed(await answerOf(api.PUT('/api/palettes/{palette_id}', { ...path(palette), body })))
    })

  const remove = (palette: Palette) =>
    attempt(async () => {
      await api.DELETE('/api/palettes/{palette_id}', path(palette))
      gone.value = palette
      await on.listed()
    })

  const restore = () =>
    attempt(async () => {
      if (!gone.value) return
      await answerOf(api.POST('/api/palettes/{palette_id}/restoration', path(gone.value)))
      gone.value = undefined
      await on.listed()
    })

  const addFile = (file: File) =>
    attempt(async () => {
      const added = await answerOf(
        api.POST('/api/palettes/files', {
          // The document types a file as text; what travels is the form.
          body: { file: '' },
          bodySerializer: () => {
            const form = new FormData()
            form.append('file', file)
            return form
          },
        }),
      )
      said.value = [
        `${countOf(added.added, 'palette was', 'palettes were')} added.`,
        ...added.skipped,
      ]
      await on.listed()
    })

  /** Prove the pages of what was imported, a few at a time; leaving the view only stops the asking. */
  async function proveAll(isWanted: () => boolean) {
    // By itself, so that it takes away nothing that was said of what somebody did.
    try {
      do {
        left.value = (await answerOf(api.POST('/api/palettes/proofs'))).left
      } while (left.value && isWanted())
      if (isWanted()) await on.listed()
    } catch (reason) {
      problem.value = explain(reason)
    }
    left.value = 0
  }

  return { problem, said, gone, left, star, keep, change, remove, restore, addFile, proveAll }
}
