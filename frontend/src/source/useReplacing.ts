/** A source's file replaced: the new one is read, stands beside the old one, and moves what is wanted. */
import { computed, ref, shallowRef } from 'vue'
import { api, explain, answerOf } from '@/api/client'
import type { BesideRow, Source } from '@/api/types'
import { pickedFiles } from '@/ui/pickedFiles'
import { useBrandStore } from '@/take/brand'
import { useTakeStore } from '@/take/take'
import { useChange } from '@/take/useChange'

interface Replaced {
  before: Source
  after: Source
  rows: readonly BesideRow[]
}
const LONGEST = 200

export function useReplacing(select: (id: string) => void) {
  const take = useTakeStore()
  const brand = useBrandStore()
  const change = useChange({ saysItself: true })
  const replaced = shallowRef<Replaced>()
  /** The old values whose swatches are to move. */
  const moving = ref<ReadonlySet<string>>(new Set())
  const problem = ref('')
  let wanted: Source | undefined

  const asked = (source: Source) => (wanted = source)

  /** Which swatches of the take came from the old file, by their value. */
  const swatches = computed(() => {
    const id = replaced.value?.before.id
    const own = take.document?.swatches.filter((one) => one.origin.source === id) ?? []
    return new Map(own.map((one) => [one.hex, one]))
  })
  const isChanged = (row: BesideRow) => row.before && row.after && row.before.hex !== row.after.hex

  async function picked(event: Event) {
    const before = wanted
    const files = pickedFiles(event)
    if (!before || !files.length) return
    problem.value = ''
    try {
      const kind = before.list ? 'list' : before.stylesheet ? 'stylesheet' : null
      const after = await brand.addFiles(files, kind)
      if (!after) return
      const params = { path: { source_id: after.id, before_id: before.id } }
      const { rows } = await answerOf(
        api.GET('/api/sources/{source_id}/beside/{before_id}', { params }),
      )
      replaced.value = { before, after, rows }
      moving.value = new Set(
        rows.flatMap((row) =>
          isChanged(row) && row.before && swatches.value.has(row.before.hex)
            ? [row.before.hex]
            : [],
        ),
      )
    } catch (reason) {
      problem.value = explain(reason)
    }
  }

  function toggle(hex: string) {
    const next = new Set(moving.value)
    if (!next.delete(hex)) next.add(hex)
    moving.value = next
  }

  /** One step of Undo, with a version before it; the old source can be brought back. */
  async function apply() {
    const { value: found } = replaced
    if (!found) return
    const { before, after, rows } = found
    try {
      if (swatches.value.size) {
        const name = `Before ${before.name} was replaced`.slice(0, LONGEST)
        await take.cutBefore(take.begin(), name)
        const moves = rows.flatMap(({ before: old, after: now }) =>
          old && now && moving.value.has(old.hex)
            ? [{ before: old.hex, after: now.hex, share: Math.min(1, now.share) }]
            : [],
        )
        const [old, now] = [before.id, after.id]
        await change.make({ kind: 'replace', before: old, after: now, name: after.name, moves })
        if (change.problem.value) throw new Error(change.problem.value)
      }
      await brand.remove(before)
      select(after.id)
      replaced.value = undefined
    } catch (reason) {
      problem.value = explain(reason)
    }
  }

  /** Both stay, and nothing moves. */
  function keepBoth() {
    if (replaced.value) select(replaced.value.after.id)
    replaced.value = undefined
  }

  /** As if nothing had been chosen. */
  async function cancel() {
    const { value: found } = replaced
    replaced.value = undefined
    if (found) {
      await brand.remove(found.after)
      brand.forgetRemoved()
    }
  }

  return {
    replaced, moving, swatches, problem, said: change.said,
    asked, picked, isChanged, toggle, apply, keepBoth, cancel,
    dismiss: () => (problem.value = ''),
  } // prettier-ignore
}
