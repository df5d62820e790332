/** The list of brands: which are shown, and what can be done with each of them. */
import { useDebounceFn } from '@vueuse/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { api, explain, answerOf } from '@/api/client'
import type { BrandSummary } from '@/api/types'
import { saveFile } from '@/ui/fetchFile'
import { usePages } from '@/ui/usePages'

export type Shelf = 'open' | 'archived' | 'deleted'
export type BrandAction = 'rename' | 'copy' | 'download' | 'archive' | 'open' | 'delete' | 'restore'
type Brand = BrandSummary['brand']

/** As long as somebody types on. */
const TYPING_MS = 200

export function useBrands() {
  const shelf = ref<Shelf>('open')
  const find = ref('')
  const problem = ref('')
  const renamed = shallowRef<Brand>()
  /** What was just put away or deleted, and how to say so: the way back stands beside it. */
  const gone = shallowRef<{ brand: Brand; said: string; back: BrandAction }>()
  const { items, isLoading, hasMore, reload, more } = usePages(
    async (after: string | null, signal) => {
      const query = { after, shelf: shelf.value, find: find.value.trim() || null }
      const found = await answerOf(api.GET('/api/brands', { params: { query }, signal }))
      return { items: found.brands, next: found.next }
    },
  )
  watch(shelf, reload)
  watch(find, useDebounceFn(reload, TYPING_MS))

  const path = (brand: Brand) => ({ params: { path: { brand_id: brand.id } } })
  const archive = (brand: Brand, archived: boolean) =>
    answerOf(api.PUT('/api/brands/{brand_id}/archive', { ...path(brand), body: { archived } }))

  async function attempt(work: () => Promise<unknown>) {
    problem.value = ''
    try {
      await work()
      await reload()
    } catch (reason) {
      problem.value = explain(reason)
    }
  }

  const WORK: Readonly<
    Record<Exclude<BrandAction, 'rename' | 'download'>, (brand: Brand) => Promise<unknown>>
  > = {
    copy: (brand) => answerOf(api.POST('/api/brands/{brand_id}/copies', path(brand))),
    archive: (brand) => archive(brand, true),
    open: (brand) => archive(brand, false),
    delete: (brand) => api.DELETE('/api/brands/{brand_id}', path(brand)),
    restore: (brand) => answerOf(api.POST('/api/brands/{brand_id}/restoration', path(brand))),
  }
  const WAYS_BACK: Readonly<Partial<Record<BrandAction, { said: string; back: BrandAction }>>> = {
    archive: { said: 'was archived.', back: 'open' },
    delete: { said: 'was deleted, with its takes and sources.', back: 'restore' },
  }

  /** Asked for here, so that a refusal is said where it was asked. */
  async function download(brand: Brand) {
    const asked = { ...path(brand), parseAs: 'blob' } as const
    saveFile(
      await answerOf(api.GET('/api/brands/{brand_id}/file', asked)),
      `${brand.name}.tonada.zip`,
    )
  }

  async function act(action: BrandAction, brand: Brand) {
    if (action === 'rename') {
      renamed.value = brand
      return
    }
    if (action === 'download') {
      await attempt(() => download(brand))
      return
    }
    gone.value = undefined
    await attempt(() => WORK[action](brand))
    const way = WAYS_BACK[action]
    if (way && !problem.value)
      gone.value = { brand, said: `${brand.name} ${way.said}`, back: way.back }
  }

  const rename = (name: string) =>
    attempt(async () => {
      const brand = renamed.value
      if (brand)
        await answerOf(api.PUT('/api/brands/{brand_id}', { ...path(brand), body: { name } }))
    })

  return {
    shelf,
    find,
    problem,
    renamed,
    gone,
    items,
    isLoading,
    hasMore,
    reload,
    more,
    act,
    rename,
    isSearching: computed(() => find.value.trim() !== ''),
  }
}
