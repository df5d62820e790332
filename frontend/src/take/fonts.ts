/** Fonts of the open brand’s own: added, removed and brought back. */
import { computed, ref, shallowRef } from 'vue'
import { api, answerOf, explain } from '@/api/client'
import type { BrandDetail, BrandFont, OwnFace } from '@/api/types'
import { useBrandStore } from './brand'

/** What the server has to know of a brand to say what the pages of a take are drawn with. */
export const brandFacts = (detail: BrandDetail | undefined) => ({
  voice: detail?.voice ?? null,
  fonts: ownFaces(detail?.fonts ?? []),
})
const ownFaces = (fonts: readonly BrandFont[]): OwnFace[] =>
  fonts.map(({ family, kind, lightest, heaviest, scripts, lacks }) => ({
    family,
    kind,
    lightest,
    heaviest,
    scripts,
    lacks,
  }))

export function useBrandFonts() {
  const brand = useBrandStore()
  const fonts = computed(() => brand.detail?.fonts ?? [])
  /** The name of the file that is being read. */
  const reading = ref('')
  const problem = ref('')
  const removed = shallowRef<BrandFont>()

  /** Add files one after the other; the first that is refused says why, and the rest is still tried. */
  async function add(files: readonly File[]): Promise<BrandFont | undefined> {
    problem.value = ''
    let last: BrandFont | undefined
    for (const file of files) {
      const brandId = brand.detail?.brand.id
      if (!brandId) break
      reading.value = file.name
      try {
        last = await answerOf(
          api.POST('/api/brands/{brand_id}/fonts', {
            params: { path: { brand_id: brandId } },
            // The document types a file as text; what travels is the form.
            body: { file: '' },
            bodySerializer: () => formOf(file),
          }),
        )
      } catch (reason) {
        problem.value ||= explain(reason)
      }
    }
    reading.value = ''
    await brand.refresh()
    return last
  }

  async function attempt(work: () => Promise<unknown>) {
    problem.value = ''
    try {
      await work()
      await brand.refresh()
    } catch (reason) {
      problem.value = explain(reason)
    }
  }

  const path = (font: BrandFont) => ({ params: { path: { font_id: font.id } } })

  async function remove(font: BrandFont) {
    await attempt(() => api.DELETE('/api/fonts/{font_id}', path(font)))
    if (!problem.value) removed.value = font
  }

  async function restore() {
    const font = removed.value
    if (!font) return
    await attempt(() => api.POST('/api/fonts/{font_id}/restoration', path(font)))
    if (!problem.value) removed.value = undefined
  }

  return { fonts, reading, problem, removed, add, remove, restore }
}

function formOf(file: File): FormData {
  const form = new FormData()
  form.append('file', file)
  return form
}
