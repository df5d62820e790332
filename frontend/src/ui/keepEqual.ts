/** What an answer has in common with the one before stays the same object, so that nothing of it is drawn again. */

type Fields = Record<string, unknown>

const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && Object.getPrototypeOf(value) === Object.prototype

/**
 * Return `after`, with every part that equals the same part of `before` replaced by that; `before` itself where
 * all is equal. For what is read from JSON: plain objects, lists and plain values. Neither is changed.
 */
export function keepEqual<Value>(before: unknown, after: Value): Value {
  return kept(before, after) as Value
}

function kept(before: unknown, after: unknown): unknown {
  if (Object.is(before, after)) return before
  if (Array.isArray(before) && Array.isArray(after)) return keptList(before, after)
  if (isFields(before) && isFields(after)) return keptFields(before, after)
  return after
}

function keptList(before: readonly unknown[], after: readonly unknown[]): readonly unknown[] {
  const list = after.map((one, row) => kept(before[row], one))
  const isEqual = before.length === list.length && list.every((one, row) => one === before[row])
  return isEqual ? before : list
}

function keptFields(before: Fields, after: Fields): Fields {
  const names = Object.keys(after)
  const fields = Object.fromEntries(names.map((name) => [name, kept(before[name], after[name])]))
  const isEqual =
    Object.keys(before).length === names.length &&
    names.every((name) => name in before && Object.is(fields[name], before[name]))
  return isEqual ? before : fields
}
