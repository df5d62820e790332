/** The first step of a brand: from a logo, a stylesheet, colours, a mood, a palette, or its name alone. */
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { api, explain, answerOf } from '@/api/client'
import type { BrandSummary } from '@/api/types'
import { useBrandStore } from '@/take/brand'
import { ownKindOf, useOpenedFilesStore } from '@/take/openedFiles'

const LONGEST = 80
const NAMELESS = 'New brand'

/** “saltmarsh-kayak_logo v2.svg” as “Saltmarsh kayak”. */
export function nameFromFile(file: string): string {
  const words = file
    .replace(/\.[^.]*$/, '')
    .replaceAll(/[-_.+]+/g, ' ')
    .replaceAll(/\b(logo|logotype|final|v?\d+|rgb|cmyk|colou?r)\b/gi, ' ')
    .trim()
    .replaceAll(/\s+/g, ' ')
  const name = words.charAt(0).toUpperCase() + words.slice(1)
  return name.slice(0, LONGEST).trim() || NAMELESS
}

export function useBrandStart() {
  const router = useRouter()
  const store = useBrandStore()
  const opened = useOpenedFilesStore()
  const name = ref('')
  const error = ref('')
  /** What is being read, while it is. */
  const reading = ref('')

  const frame = (brand: BrandSummary['brand']) => ({
    name: 'source',
    params: { brandId: brand.id, takeId: brand.first_take ?? '' },
  })
  const make = (called: string) => answerOf(api.POST('/api/brands', { body: { name: called } }))

  async function attempt(work: () => Promise<unknown>) {
    error.value = ''
    try {
      await work()
    } catch (reason) {
      error.value = explain(reason)
    }
  }

  /** A file of ours is opened as it is: a take in a brand of its own, or a whole brand. */
  async function openOwn(files: readonly File[]): Promise<boolean> {
    const [file] = files
    if (!file || files.length > 1 || !(await ownKindOf(file))) return false
    const { brand, take } = await opened.open(file)
    await router.push({ name: 'roles', params: { brandId: brand.id, takeId: take.id } })
    return true
  }

  /** A brand whose file can't be read is none: the way to the next try is clear. */
  const fromFiles = (files: File[]) =>
    attempt(async () => {
      const [first] = files
      if (!first) return
      if (reading.value) {
        error.value = `${reading.value} is still being read; ${first.name} was not taken.`
        return
      }
      reading.value = first.name
      try {
        if (await openOwn(files)) return
        const brand = await make(name.value.trim() || nameFromFile(first.name))
        await store.open(brand.id)
        if (await store.addFiles(files)) await router.push(frame(brand))
        else {
          error.value = store.problem
          store.dismiss()
          await api.DELETE('/api/brands/{brand_id}', { params: { path: { brand_id: brand.id } } })
        }
      } finally {
        reading.value = ''
      }
    })

  /** With the form for it open, or among the palettes. */
  const from = (start: 'list' | 'mood' | 'ready-made') =>
    attempt(async () => {
      const brand = await make(name.value.trim() || NAMELESS)
      const to = frame(brand)
      await router.push(
        start === 'ready-made' ? { ...to, name: start } : { ...to, query: { start } },
      )
    })

  const fromName = () =>
    attempt(async () => {
      if (name.value.trim()) await router.push(frame(await make(name.value)))
      else error.value = 'Give the brand a name first: 1 to 80 characters.'
    })

  return { name, error, reading, frame, fromFiles, from, fromName }
}
