import { useRouter } from 'vue-router'
import { explain } from '@/api/client'
import { useBrandStore } from '@/take/brand'
import { ownKindOf, useOpenedFilesStore } from '@/take/openedFiles'

/** Opening Tonada's own files from within a brand: a take joins it, and a whole brand opens beside it. */
export function useOpening() {
  const brand = useBrandStore()
  const opened = useOpenedFilesStore()
  const router = useRouter()

  /** Open what is a file of ours and return true; false for any other, which is read as a source. */
  async function openOwn(files: readonly File[]): Promise<boolean> {
    const [file] = files
    const kind = file && files.length === 1 ? await ownKindOf(file) : undefined
    if (!file || !kind) return false
    brand.dismiss()
    try {
      const made = await opened.open(file, kind === 'take' ? brand.detail?.brand.id : undefined)
      await brand.refresh()
      await router.push({
        name: kind === 'take' ? 'roles' : 'source',
        params: { brandId: made.brand.id, takeId: made.take.id },
      })
    } catch (reason) {
      brand.say(explain(reason))
    }
    return true
  }

  return { openOwn }
}
