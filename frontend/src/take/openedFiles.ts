/** Tonada's own files: a take's opens as a take, a brand's archive as a brand; and what of it is missing. */
import { defineStore } from 'pinia'
import { ref } from 'vue'
import { api, answerOf } from '@/api/client'
import type { OpenedFile } from '@/api/types'

export type OwnKind = 'take' | 'brand'

const TAKE_MARK = /^\uFEFF?\s*\{\s*"format"\s*:\s*"tonada take"/
const ZIP = 'PK\u0003\u0004'
const HEAD_BYTES = 400

/** Which of our own files this is, by how it begins; undefined for any other. */
export async function ownKindOf(file: File): Promise<OwnKind | undefined> {
  const head = await file.slice(0, HEAD_BYTES).text()
  if (head.startsWith(ZIP)) return 'brand'
  return TAKE_MARK.test(head) ? 'take' : undefined
}

export const useOpenedFilesStore = defineStore('opened files', () => {
  /** What of the file that was opened last isn't here. */
  const missing = ref('')

  function formOf(file: File): FormData {
    const form = new FormData()
    form.append('file', file)
    return form
  }

  /** Open a file as a take of a brand, or with none as a brand of its own. Throws what the server says. */
  async function open(file: File, brandId?: string): Promise<OpenedFile> {
    const bodySerializer = () => formOf(file)
    // The document types a file as text; what travels is the form.
    const body = { file: '' }
    const opened = await answerOf(
      brandId
        ? api.POST('/api/brands/{brand_id}/takes/files', {
            params: { path: { brand_id: brandId } },
            body,
            bodySerializer,
          })
        : api.POST('/api/brands/files', { body, bodySerializer }),
    )
    missing.value = opened.missing.length
      ? `The file names these, and they aren’t here: ${opened.missing.join(', ')}. Add them as sources, and choose the logo and the picture in Proof.`
      : ''
    return opened
  }

  return { missing, open, forget: () => (missing.value = '') }
})
