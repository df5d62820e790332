/** Numbers as people type and read them: a comma or a point is the decimal sign, in any browser's language. */

export interface Bounds {
  min?: number | undefined
  max?: number | undefined
  isWhole?: boolean
}

const NUMBER = /^([+\-−–]?)(\d*)(?:([.,])(\d*))?$/
const GROUPED = /\d[.,'’\s]\d{3}([.,]|$)|\d[.,]\d+[.,]/
/** What may follow a number, and says nothing new in its field. */
const UNIT = /\s*(?:%|°|deg|px|pt|:\s*1)$/i

/** What was typed as a number, or the sentence why it is none. */
export function readNumber(text: string, { min, max, isWhole }: Bounds = {}): number | string {
  const wanted = `Type a ${isWhole ? 'whole ' : ''}number${rangeOf(min, max)}.`
  const plain = text.trim().replace(UNIT, '').trim()
  const found = NUMBER.exec(plain)
  if (!found || !(found[2] || found[4])) {
    if (/^[+\-−–]?[\d.,'’\s]+$/.test(plain) && GROUPED.test(plain))
      return 'Type the number without separators between thousands.'
    return wanted
  }
  const [, sign = '', whole = '', , fraction = ''] = found
  const value = Number(`${sign && sign !== '+' ? '-' : ''}${whole || '0'}.${fraction || '0'}`)
  if (isWhole && !Number.isInteger(value)) return wanted
  const isWithin = value >= (min ?? -Infinity) && value <= (max ?? Infinity)
  return isWithin ? value : wanted
}

function rangeOf(min: number | undefined, max: number | undefined): string {
  if (min !== undefined && max !== undefined)
    return ` from ${writeNumber(min)} to ${writeNumber(max)}`
  if (min !== undefined) return ` of at least ${writeNumber(min)}`
  return max === undefined ? '' : ` of at most ${writeNumber(max)}`
}

/** A number by the browser's language, without separators between thousands. digits: as many decimals, always. */
export function writeNumber(value: number, digits?: number, language = navigator.language): string {
  return new Intl.NumberFormat(language, {
    useGrouping: false,
    numberingSystem: 'latn',
    minimumFractionDigits: digits ?? 0,
    maximumFractionDigits: digits ?? 4,
  }).format(value)
}
