/** Taking what was tried: as a new take, for what is free, or a single colour of it. */
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { api, explain } from '@/api/client'
import type { Palette, PaletteColor, TakeDocument } from '@/api/types'
import { useBrandStore } from '@/take/brand'
import { useTakeStore } from '@/take/take'
import { useChange } from '@/take/useChange'

const LONGEST = 200

export function useTaking() {
  const take = useTakeStore()
  const brand = useBrandStore()
  const router = useRouter()
  const change = useChange({ saysItself: true })
  const problem = ref('')
  const done = ref('')
  const isBusy = ref(false)

  async function attempt(work: () => Promise<unknown>) {
    if (isBusy.value) return
    problem.value = done.value = ''
    isBusy.value = true
    try {
      await work()
    } catch (reason) {
      problem.value = explain(reason)
    } finally {
      isBusy.value = false
    }
  }

  const before = (palette: Palette) =>
    take.cutBefore(take.begin(), `Before the palette “${palette.name}”`.slice(0, LONGEST))

  /** Counted for the sorting; what was taken is taken even where that can't be noted. */
  async function count(palette: Palette) {
    const params = { path: { palette_id: palette.id } }
    await api.POST('/api/palettes/{palette_id}/takings', { params }).catch(() => undefined)
  }

  /** A take of its own; an empty take that is in front is filled instead. */
  const asTake = (palette: Palette, document: TakeDocument) =>
    attempt(async () => {
      if (take.isEmpty) {
        take.mustBeChangeable()
        take.change(document)
        await take.allSaved()
        done.value = `This take has the colours of “${palette.name}”.`
      } else {
        const made = await take.createFrom(document)
        await brand.refresh()
        const brandId = brand.detail?.brand.id ?? ''
        await router.push({ name: 'harmony', params: { brandId, takeId: made.id } })
      }
      await count(palette)
    })

  /** Only what is free in this take: one step, with a version before it. */
  const asFree = (palette: Palette, document: TakeDocument) =>
    attempt(async () => {
      await before(palette)
      take.change(document)
      await count(palette)
      done.value = `What was free has the colours of “${palette.name}”. Undo brings it back.`
    })

  /** One colour of it, held, in a role if one is named. */
  const asColor = (palette: Palette, color: PaletteColor, role: string | null) =>
    attempt(async () => {
      take.mustBeChangeable()
      if (!take.isEmpty) await before(palette)
      const origin = {
        kind: 'source' as const,
        note: `from the ready-made palette “${palette.name}”`,
        source: null,
        share: null,
      }
      await change.make({ kind: 'adopt', hex: color.hex, name: color.name, origin, role })
      if (change.problem.value) problem.value = change.problem.value
      else {
        await count(palette)
        done.value = `${color.name} is in this take. Undo takes it out again.`
      }
    })

  return { problem, done, isBusy, asTake, asFree, asColor }
}
