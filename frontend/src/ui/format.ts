/** How figures are written. None of this decides anything: verdicts come from the server. */
/** Two decimals, cut off: a ratio that fails must never look like one that passes. */
export function formatRatio(ratio: number): string {
  return (roundedDown(ratio * 100, (cut) => cut / 100 <= ratio) / 100).toFixed(2)
}

/** Two decimals, rounded up, so that what is missing is never said to be less than it is. */
export function formatShort(missing: number): string {
  return (-roundedDown(-missing * 100, (cut) => -cut / 100 >= missing) / 100).toFixed(2)
}

/** The whole number below, or the next one where only the product's last bit kept it from that. */
function roundedDown(value: number, fits: (cut: number) => boolean): number {
  const cut = Math.floor(value)
  if (fits(cut + 1)) return cut + 1
  return fits(cut) ? cut : cut - 1
}

/** A difference of two colours in OKLab, cut off: what is under a limit is never said to reach it. */
export function formatDifference(difference: number, digits = 2): string {
  const factor = 10 ** digits
  return (roundedDown(difference * factor, (cut) => cut / factor <= difference) / factor).toFixed(
    digits,
  )
}

/** A coordinate or a size, which no verdict hangs on, rounded to so many decimals. */
export function formatFixed(value: number, digits: number): string {
  return value.toFixed(digits)
}

export function formatMegabytes(bytes: number): string {
  return (bytes / 2 ** 20).toFixed(bytes % 2 ** 20 ? 1 : 0)
}

export function formatShare(share: number): string {
  const percent = share * 100
  return `${percent > 0 && percent < 1 ? '< 1' : Math.round(percent).toString()}%`
}

export function formatNeeded(ratio: number): string {
  return `${ratio.toString()}:1`
}

const NUMBERS = [
  'No',
  'One',
  'Two',
  'Three',
  'Four',
  'Five',
  'Six',
  'Seven',
  'Eight',
  'Nine',
  'Ten',
]

/** “Four colours”, in words up to ten. */
export function countOf(count: number, one: string, many: string): string {
  return `${NUMBERS[count] ?? count.toString()} ${count === 1 ? one : many}`
}

const HOUR = 3_600_000
const DAY = 24 * HOUR
const AGES = [
  { until: HOUR, unit: 'minute', one: 60_000 },
  { until: DAY, unit: 'hour', one: HOUR },
  { until: 7 * DAY, unit: 'day', one: DAY },
] as const
const relative = new Intl.RelativeTimeFormat('en', { numeric: 'auto' })

/** How long ago something was, “2 hours ago”, or its day once that is over a week. */
export function formatAge(moment: string, now = Date.now()): string {
  const then = new Date(moment)
  const age = Math.max(0, now - then.getTime())
  if (age < 60_000) return 'just now'
  const found = AGES.find(({ until }) => age < until)
  if (found) return relative.format(-Math.round(age / found.one), found.unit)
  const isThisYear = then.getFullYear() === new Date(now).getFullYear()
  return formatDay(then, { hasYear: !isThisYear })
}

/** A day as the browser’s language writes it; of a moment that stands for a whole day, in UTC. */
export function formatDay(
  moment: string | number | Date,
  { hasYear = false, isWholeDay = false } = {},
): string {
  return new Date(moment).toLocaleDateString(undefined, {
    day: 'numeric',
    month: 'long',
    ...(hasYear && { year: 'numeric' }),
    ...(isWholeDay && { timeZone: 'UTC' }),
  })
}
