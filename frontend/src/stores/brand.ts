import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import { api, explain, given, readSession } from '@/api/client'
import type { BrandDetail, Source } from '@/api/types'

/** The open brand: its takes and sources, and the reading of a new file. */
export const useBrandStore = defineStore('brand', () => {
  const detail = shallowRef<BrandDetail>()
  const reading = ref('')
  const uploadError = ref('')
  let request: AbortController | undefined

  async function open(brandId: string) {
    if (detail.value?.brand.id !== brandId) detail.value = undefined
    detail.value = await given(
      api.GET('/api/brands/{brand_id}', { params: { path: { brand_id: brandId } } }),
    )
  }

  /** Read a file's colours and keep it as a source. Undefined where it failed or was cancelled. */
  async function addSource(file: File): Promise<Source | undefined> {
    if (!detail.value) return undefined
    request?.abort()
    const { signal } = (request = new AbortController())
    reading.value = file.name
    uploadError.value = ''
    try {
      await checkSize(file)
      const source = await given(
        api.POST('/api/brands/{brand_id}/sources', {
          params: { path: { brand_id: detail.value.brand.id } },
          // The document types a file as text; what travels is the form.
          body: { file: file.name },
          bodySerializer: () => formOf(file),
          signal,
        }),
      )
      detail.value = { ...detail.value, sources: [...detail.value.sources, source] }
      return source
    } catch (reason) {
      if (!signal.aborted)
        uploadError.value = reason instanceof TooLarge ? reason.message : explain(reason)
      return undefined
    } finally {
      if (request.signal === signal) reading.value = ''
    }
  }

  function cancelReading() {
    request?.abort()
    reading.value = ''
  }

  function dismissError() {
    uploadError.value = ''
  }

  return { detail, reading, uploadError, open, addSource, cancelReading, dismissError }
})

class TooLarge extends Error {}

/** Say so before twenty megabytes have travelled; the server checks again. */
async function checkSize(file: File) {
  const { max_file_bytes } = await readSession()
  if (file.size > max_file_bytes) {
    const megabytes = (bytes: number) => (bytes / 2 ** 20).toFixed(bytes % 2 ** 20 ? 1 : 0)
    throw new TooLarge(
      `The file has ${megabytes(file.size)} MB; at most ${megabytes(max_file_bytes)} MB are allowed. Nothing was changed.`,
    )
  }
}

function formOf(file: File): FormData {
  const form = new FormData()
  form.append('file', file)
  return form
}
