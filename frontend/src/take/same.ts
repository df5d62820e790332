/** Whether two documents say the same, in whatever order their fields were written. */
export const isSameDocument = (one: unknown, other: unknown) => ordered(one) === ordered(other)

const ordered = (value: unknown) =>
  JSON.stringify(value, (_, part: unknown) =>
    part !== null && typeof part === 'object' && !Array.isArray(part)
      ? Object.fromEntries(Object.entries(part).sort(([a], [b]) => (a < b ? -1 : 1)))
      : part,
  )
