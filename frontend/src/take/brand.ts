import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import { api, explain, answerOf, isUnreachable, readSession, UserError } from '@/api/client'
import type { BrandDetail, PickedColor, Source, SourceReading } from '@/api/types'
import { formatMegabytes } from '@/ui/format'

/** How often a long reading is asked how far it is. */
const ASK_AGAIN_MS = 250

export interface Reading {
  name: string
  progress: number | undefined
}

/** The open brand: its takes and sources, and the reading of what is added. */
export const useBrandStore = defineStore('brand', () => {
  const detail = shallowRef<BrandDetail>()
  const reading = ref<Reading>()
  const problem = ref('')
  const removed = shallowRef<Source>()
  let request: AbortController | undefined
  let underWay: string | undefined
  let asked = 0

  async function open(brandId: string) {
    const number = ++asked
    if (detail.value?.brand.id !== brandId) detail.value = removed.value = undefined
    const found = await answerOf(
      api.GET('/api/brands/{brand_id}', { params: { path: { brand_id: brandId } } }),
    )
    // Another brand was opened, or this one asked for again: that answer counts.
    if (number === asked) detail.value = found
  }

  /** The takes and sources as they are now. */
  async function refresh() {
    if (detail.value) await open(detail.value.brand.id)
  }

  /** Read files and keep them as a source. Undefined where that failed or was cancelled. */
  async function addFiles(files: File[], wanted: 'list' | 'stylesheet' | null = null) {
    return adding(files.map((file) => file.name).join(', '), async (brandId, signal) => {
      await checkSize(files)
      const source = await answerOf(
        api.POST('/api/brands/{brand_id}/sources', {
          params: { path: { brand_id: brandId } },
          // The document types a file as text; what travels is the form.
          body: { file: '', wanted },
          bodySerializer: () => formOf(files, wanted),
          signal,
        }),
      )
      return source.state === 'reading' ? untilRead(source, signal) : source
    })
  }

  const addText = (text: string) =>
    adding('what was typed', (brandId, signal) =>
      answerOf(
        api.POST('/api/brands/{brand_id}/lists', {
          params: { path: { brand_id: brandId } },
          body: { text },
          signal,
        }),
      ),
    )

  const addMood = (words: string[], field: string | null) =>
    adding('the mood', (brandId, signal) =>
      answerOf(
        api.POST('/api/brands/{brand_id}/moods', {
          params: { path: { brand_id: brandId } },
          body: { words, field },
          signal,
        }),
      ),
    )

  async function adding(
    name: string,
    work: (brandId: string, signal: AbortSignal) => Promise<Source>,
  ): Promise<Source | undefined> {
    if (!detail.value) return undefined
    cancelReading()
    const { signal } = (request = new AbortController())
    reading.value = { name, progress: undefined }
    problem.value = ''
    try {
      const source = await work(detail.value.brand.id, signal)
      show(source)
      return source
    } catch (reason) {
      if (!signal.aborted) problem.value = explain(reason)
      return undefined
    } finally {
      if (request.signal === signal) reading.value = undefined
    }
  }

  /** A large picture is read in the background: ask until it is done. */
  async function untilRead(source: Source, signal: AbortSignal): Promise<Source> {
    underWay = source.id
    try {
      for (;;) {
        await new Promise((resolve) => setTimeout(resolve, ASK_AGAIN_MS))
        signal.throwIfAborted()
        const now = await progressOf(source, signal)
        if (!now) continue
        if (now.state === 'ready') return now
        if (now.state === 'failed') throw new UserError(now.problem ?? '')
        if (reading.value) reading.value = { ...reading.value, progress: now.progress }
      }
    } finally {
      underWay = undefined
    }
  }

  /** How far a reading is; undefined where the server can't say so now, since it goes on all the same. */
  async function progressOf(source: Source, signal: AbortSignal): Promise<Source | undefined> {
    try {
      return await answerOf(api.GET('/api/sources/{source_id}', { ...path(source), signal }))
    } catch (reason) {
      if (!signal.aborted && isUnreachable(reason)) return undefined
      throw reason
    }
  }

  /** Where the server does not hear of it, the reading goes on, and the source appears when it is read. */
  function cancelReading() {
    request?.abort()
    const id = underWay
    reading.value = undefined
    if (id) cancelOnServer(id).catch((reason: unknown) => (problem.value = explain(reason)))
  }

  const cancelOnServer = (id: string) =>
    api.DELETE('/api/sources/{source_id}', { params: { path: { source_id: id } } })

  /** The newest state of a source in its place, or behind the others where it is new. */
  function show(source: Source) {
    if (detail.value?.brand.id !== source.brand_id) return
    const { sources } = detail.value
    const isThere = sources.some((one) => one.id === source.id)
    detail.value = {
      ...detail.value,
      sources: isThere
        ? sources.map((one) => (one.id === source.id ? source : one))
        : [...sources, source],
    }
  }

  async function attempt(work: () => Promise<Source>) {
    problem.value = ''
    try {
      show(await work())
    } catch (reason) {
      problem.value = explain(reason)
    }
  }

  const path = (source: Source) => ({ params: { path: { source_id: source.id } } })

  const rename = (source: Source, name: string) =>
    attempt(() =>
      answerOf(api.PUT('/api/sources/{source_id}', { ...path(source), body: { name } })),
    )

  /** What is still to be asked of a source whose reading is on its way. */
  const wanted = new Map<string, Partial<SourceReading>>()

  /**
   * Read a source differently in one thing or more. One reading after the other, each beginning with what the one
   * before has come to: of two that overtake each other the older would be kept.
   */
  async function readAgain(source: Source, changes: Partial<SourceReading>) {
    const isUnderWay = wanted.has(source.id)
    wanted.set(source.id, { ...wanted.get(source.id), ...changes })
    if (isUnderWay) return
    for (let next = wanted.get(source.id); next && !isEmpty(next); next = wanted.get(source.id)) {
      wanted.set(source.id, {})
      const now = detail.value?.sources.find((one) => one.id === source.id) ?? source
      const body = { ...now.settings, ...next }
      await attempt(() =>
        answerOf(api.PUT('/api/sources/{source_id}/reading', { ...path(source), body })),
      )
    }
    wanted.delete(source.id)
  }

  const setPicked = (source: Source, colors: PickedColor[]) =>
    attempt(() =>
      answerOf(api.PUT('/api/sources/{source_id}/picked', { ...path(source), body: { colors } })),
    )

  async function remove(source: Source) {
    try {
      await api.DELETE('/api/sources/{source_id}', path(source))
      if (detail.value)
        detail.value = {
          ...detail.value,
          sources: detail.value.sources.filter((one) => one.id !== source.id),
        }
      removed.value = source
    } catch (reason) {
      problem.value = explain(reason)
    }
  }

  async function restore() {
    const source = removed.value
    if (!source) return
    await attempt(() => answerOf(api.POST('/api/sources/{source_id}/restoration', path(source))))
    if (!problem.value) removed.value = undefined
  }

  return {
    detail,
    reading,
    problem,
    removed,
    open,
    refresh,
    addFiles,
    addText,
    addMood,
    cancelReading,
    rename,
    readAgain,
    setPicked,
    remove,
    restore,
    say: (what: string) => (problem.value = what),
    dismiss: () => (problem.value = ''),
    forgetRemoved: () => (removed.value = undefined),
  }
})

/** Say so before twenty megabytes have travelled; the server checks again. */
async function checkSize(files: File[]) {
  const { max_file_bytes } = await readSession()
  const size = files.reduce((sum, file) => sum + file.size, 0)
  if (size > max_file_bytes) {
    throw new UserError(
      `The file is ${formatMegabytes(size)} MB; the limit is ${formatMegabytes(max_file_bytes)} MB. Nothing was changed.`,
    )
  }
}

const isEmpty = (changes: object) => !Object.keys(changes).length

function formOf(files: File[], wanted: string | null): FormData {
  const form = new FormData()
  for (const file of files) form.append('file', file)
  if (wanted) form.append('wanted', wanted)
  return form
}
