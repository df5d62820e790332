/** The palette that is tried: what the brand's own page looks like in it, whole or for what is free. */
import { computed, ref, shallowRef, watch } from 'vue'
import { api, explain, answerOf } from '@/api/client'
import type { Palette, TakeDocument } from '@/api/types'
import { createLatest } from '@/ui/asking'
import { useTakeStore } from '@/take/take'

export type Extent = 'all' | 'free'

interface Tried {
  palette: Palette
  /** What it is that stands here: while another one is asked for, nothing can be done with it. */
  extent: Extent
  document: TakeDocument
  /** What can't be reached, in sentences; nothing where every pair passes. */
  said: readonly string[]
  failing: number
}

export function useTried(chosen: () => Palette | undefined, aaa: () => boolean) {
  const take = useTakeStore()
  const latest = createLatest()
  const tried = shallowRef<Tried>()
  const problem = ref('')
  const wantsFree = ref(false)
  const isHolding = computed(() => take.document?.swatches.some((one) => one.held) ?? false)
  const extent = computed<Extent>({
    get: () => (wantsFree.value && isHolding.value ? 'free' : 'all'),
    set: (value) => (wantsFree.value = value === 'free'),
  })

  /** The whole palette on the page that this take has: its words, pictures and type stay. */
  async function whole(palette: Palette, signal: AbortSignal): Promise<Tried> {
    const found = await answerOf(
      api.GET('/api/palettes/{palette_id}/take', {
        params: {
          path: { palette_id: palette.id },
          query: { level: aaa() && palette.reaches_aaa ? 'AAA' : 'AA' },
        },
        signal,
      }),
    )
    const proof = take.document?.proof ?? found.document.proof
    const failing = found.failing
    return { palette, extent: 'all', document: { ...found.document, proof }, said: [], failing }
  }

  async function free(
    palette: Palette,
    document: TakeDocument,
    signal: AbortSignal,
  ): Promise<Tried> {
    const colors = palette.colors.map(({ role, hex }) => ({ role, hex }))
    const change = { kind: 'ready-made' as const, name: palette.name, colors }
    const made = await answerOf(
      api.POST('/api/changes', { body: { document, change, page: null }, signal }),
    )
    return {
      palette,
      extent: 'free',
      document: made.document,
      said: made.said,
      failing: made.evaluation.counts.fails,
    }
  }

  async function look() {
    const palette = chosen()
    const { document } = take
    if (!palette || !document) {
      latest.cancel()
      tried.value = undefined
      return
    }
    try {
      const found = await latest.ask((signal) =>
        extent.value === 'free' ? free(palette, document, signal) : whole(palette, signal),
      )
      if (!found) return
      tried.value = found
      problem.value = ''
    } catch (reason) {
      tried.value = undefined
      problem.value = explain(reason)
    }
  }
  watch([() => chosen()?.id, extent, aaa, () => take.document], look, { immediate: true })

  /** With the name, the tags and the star that it has by now. */
  const shown = computed(() => {
    const now = chosen()
    const { value: found } = tried
    return found && now?.id === found.palette.id ? { ...found, palette: now } : found
  })
  /** Whether what is shown is what is asked for, and not what was before. */
  const isCurrent = computed(
    () => tried.value?.palette.id === chosen()?.id && tried.value?.extent === extent.value,
  )
  return { tried: shown, problem, extent, isHolding, isCurrent }
}
