import { useChange } from '@/take/useChange'
import { useTakeStore } from '@/take/take'

/** The least a colour is planned to take: one that shows. */
const LEAST = 0.005

/** Planned shares moved by the measure's edges; a gesture is one step. */
export function useShares() {
  const take = useTakeStore()
  const change = useChange()
  let began: { roles: readonly string[]; share: number }[] | undefined

  /** From where the gesture began, the cell at `row` takes `share` of the page from the next one. */
  function shift(row: number, share: number) {
    began ??= (take.evaluation?.measure ?? []).map((cell) => ({
      roles: cell.roles,
      share: cell.share,
    }))
    const [left, right] = [began[row], began[row + 1]]
    if (!left || !right || !take.document) return
    const moved = Math.max(LEAST - left.share, Math.min(right.share - LEAST, share))
    const cells = began.map((cell, place) => {
      if (place === row) return { ...cell, share: cell.share + moved }
      return place === row + 1 ? { ...cell, share: cell.share - moved } : cell
    })
    const shares = cells.flatMap(({ roles, share }) =>
      roles.length ? [{ roles: [...roles], share: Math.min(1, share) }] : [],
    )
    change.show({ kind: 'shares', shares })
  }

  function end(verb: () => unknown) {
    began = undefined
    void verb()
  }

  return {
    shift,
    keep: () => {
      end(change.keep)
    },
    drop: () => {
      end(change.drop)
    },
  }
}
