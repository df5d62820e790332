import { computed, ref, watch } from 'vue'
import { api, explain, answerOf } from '@/api/client'
import type { FileKind, FileOptions, SlotKind, Version } from '@/api/types'
import { useAnswer } from '@/ui/useAnswer'
import { isSameDocument } from '@/take/same'
import { asKept } from '@/take/scheme'
import { useTakeStore } from '@/take/take'
import { fetchFile } from '@/ui/fetchFile'

/** What leaves is always a version: the one that is looked at, else the newest, else a new one. */
export function useHandoff() {
  const take = useTakeStore()
  const problem = ref('')
  const { answer, ask } = useAnswer(read)
  watch(() => take.take?.id, ask)

  /** The newest version, whole; null where there is none. */
  async function read(): Promise<Version | null> {
    const id = take.take?.id
    if (!id) return null
    const path = { take_id: id }
    const found = await answerOf(api.GET('/api/takes/{take_id}/versions', { params: { path } }))
    const number = found.versions[0]?.number
    if (!number) return null
    return answerOf(
      api.GET('/api/takes/{take_id}/versions/{number}', { params: { path: { ...path, number } } }),
    )
  }
  /** Unlike asking, this fails aloud: nothing may leave that isn't known to be a version. */
  const load = async () => {
    answer.value = await read()
  }

  const newest = computed(() => answer.value ?? undefined)
  /** Whether the newest version is the take as it is now. */
  const isCut = computed(
    () =>
      newest.value !== undefined &&
      take.document !== undefined &&
      isSameDocument(newest.value.document, asKept(take.document)),
  )

  /** Return the version that is handed off: the take's id, and the number. */
  async function versionToHand(what: string): Promise<{ id: string; number: number } | undefined> {
    problem.value = ''
    const id = take.take?.id
    if (!id) return undefined
    try {
      await take.allSaved()
      const looked = take.looking?.number
      if (looked) return await record(id, looked, what)
      await load()
      if (!isCut.value) {
        await take.cutVersion(`Handed off: ${what}`, true)
        await load()
      }
      const number = newest.value?.number
      // Another take was opened meanwhile: nothing of that one may leave as this one.
      if (id !== take.take?.id || !number) return undefined
      return await record(id, number, what)
    } catch (reason) {
      problem.value = explain(reason)
      return undefined
    }
  }

  async function record(id: string, number: number, what: string) {
    await api.POST('/api/takes/{take_id}/versions/{number}/handoffs', {
      params: { path: { take_id: id, number } },
      body: { what },
    })
    return { id, number }
  }

  async function download(kind: FileKind, name: string, options: FileOptions) {
    const version = await versionToHand(name)
    if (!version) return
    const query = new URLSearchParams(
      Object.entries(options).map(([key, value]) => [key, String(value)]),
    )
    fetchFile(`${addressOf(version)}/files/${kind}?${query.toString()}`)
  }

  async function downloadSlots(destination: string, kind: SlotKind, name: string) {
    const version = await versionToHand(`Slots: ${name}`.slice(0, 40))
    if (version) fetchFile(`${addressOf(version)}/slots/${destination}/${kind}`)
  }

  async function downloadRecoloured(
    source: string,
    write: string,
    pictures: boolean,
    name: string,
  ) {
    const version = await versionToHand(`Recoloured: ${name}`.slice(0, 40))
    if (version)
      fetchFile(
        `${addressOf(version)}/recoloured/${source}?write=${write}&pictures=${pictures.toString()}`,
      )
  }

  return { newest, isCut, problem, download, downloadRecoloured, downloadSlots, versionToHand }
}

const addressOf = (version: { id: string; number: number }) =>
  `/api/takes/${version.id}/versions/${version.number.toString()}`
