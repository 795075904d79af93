import { normaliseGtin } from '../../identity'
import { isCurrencyCode, recogniseCurrency } from '../../money'
import {
  isBlank,
  parseDay,
  plainNumber,
  tiersFromCell,
  type DateOrder,
  type NumberStyle,
  type Cell,
} from '../../notation'
import { fold } from './heading'
import { isOneOf, type ValueList } from './value-words'

/** What the cells of a column are like. Shares are of the cells that are not blank. */
export interface ColumnProfile {
  /** cells that are not blank */
  filled: number
  numeric: number
  whole: number
  negative: number
  /** of the figures; NaN where there are none */
  min: number
  max: number
  /** nearly the greatest: a lone figure beyond it, such as a typing error, decides nothing */
  high: number
  median: number
  /** figures with two digits behind the mark, as amounts have */
  cents: number
  percentSign: number
  currencySign: number
  day: number
  serialDay: number
  gtin: number
  currencyCode: number
  address: number
  pictureAddress: number
  handle: number
  /** a quantity of days, or a range of them */
  lead: number
  tiers: number
  path: number
  /** letters with digits or marks in them and no space, or digits alone: a number that names */
  code: number
  country: number
  language: number
  listed: Partial<Record<Exclude<ValueList, 'countries' | 'languages'>, number>>
  /** texts that end as sentences do */
  sentence: number
  /** different cells */
  distinct: number
  /** figures that are higher than the one above them */
  rising: number
  /** cells of the commonest length: codes are alike, counts are not */
  sameLength: number
  words: number
  length: number
  lower: number
  /** the figures, NaN where a cell is none, by row of the sample */
  figures: Float64Array
}

export interface ProfileStyles {
  number: NumberStyle
  order: DateOrder
  places: { countries: Set<string>; languages: Set<string> }
}

const most = 240
const valueLists = ['yesNo', 'verdicts', 'conditions', 'signs', 'goods', 'formats', 'clips', 'sorts'] as const

/** Looks at up to 240 cells of a column. */
export function profileOf(cells: readonly Cell[], styles: ProfileStyles): ColumnProfile {
  const seen = cells.slice(0, most)
  const figures = Float64Array.from(seen, (c) => (isBlank(c) ? NaN : figureOf(c, styles.number)))
  const filled = seen.filter((c): c is string | number | boolean => !isBlank(c))
  const texts = filled.map((c) => String(c).trim().slice(0, 400))
  const numbers = [...figures].filter((v) => !Number.isNaN(v)).sort((a, b) => a - b)
  const share = (test: (text: string, i: number) => boolean) => {
    let n = 0
    texts.forEach((text, i) => void (test(text, i) && n++))
    return texts.length === 0 ? 0 : n / texts.length
  }
  const ofNumbers = (test: (v: number) => boolean) =>
    numbers.length === 0 ? 0 : numbers.filter(test).length / numbers.length
  // names of places and words of lists are short
  const folded = texts.map((t) => (t.length < 40 ? fold(t).trim() : ''))
  return {
    filled: texts.length,
    numeric: texts.length === 0 ? 0 : numbers.length / texts.length,
    whole: ofNumbers(Number.isInteger),
    negative: ofNumbers((v) => v < 0),
    min: numbers[0] ?? NaN,
    max: numbers.at(-1) ?? NaN,
    high: numbers[Math.floor(0.96 * (numbers.length - 1))] ?? NaN,
    median: numbers[numbers.length >> 1] ?? NaN,
    cents: share((t) => /^\D{0,4}\d[\d.,' ]{0,14}[.,]\d\d?\D{0,4}$/.test(t)),
    percentSign: share((t) => t.endsWith('%')),
    currencySign: share((t) => t.length < 24 && /\d/.test(t) && /[^\d.,\s-]/.test(t) && recogniseCurrency(t) !== null),
    day: share((t, i) => typeof filled[i] === 'string' && parseDay(t, styles.order) !== null),
    serialDay: ofNumbers(
      (v) => (v >= 36_500 && v <= 62_000) || (v >= 1e9 && v <= 2.2e9) || (v >= 1e12 && v <= 2.2e12) || isDayFigure(v),
    ),
    gtin: share((t) => /^[\d -]{8,17}$/.test(t) && normaliseGtin(t) !== null),
    currencyCode: share((t) => t.length === 3 && isCurrencyCode(t.toUpperCase())),
    address: share((t) => /^(?:https?:\/\/|www\.|\/\/)\S+$/.test(t) || /^[\w-]+(?:\.[\w-]+)+\/\S*$/.test(t)),
    pictureAddress: share((t) => /\.(?:jpe?g|png|webp|gif|svg|avif)(?:\?\S*)?$/i.test(t)),
    handle: share((t) => /^@[\w.-]+$/.test(t)),
    lead: share(
      (t) =>
        /^\d{1,3} ?[-–—] ?\d{1,3}$/.test(t) ||
        (t.length < 40 &&
          /^\D{0,12}\d{1,3}\s?(?:[-–—]|to|bis|à|a|tot|do)?\s?\d{0,3}\s?\p{L}{1,14}\.?(?: \p{L}{1,12})?$/u.test(t)),
    ),
    tiers: share((t) => t.includes(':') && tiersFromCell(t) !== null),
    path: share((t) => /\p{L}\s?(?:\/|>|\||»|›)\s?\p{L}/u.test(t) && !t.includes('//')),
    code: share((t) => !t.includes(' ') && t.length <= 40 && /\d/.test(t)),
    country: share((_, i) => styles.places.countries.has(folded[i] as string)),
    language: share((_, i) => styles.places.languages.has(folded[i] as string)),
    listed: Object.fromEntries(valueLists.map((list) => [list, share((_, i) => isOneOf(list, folded[i] as string))])),
    distinct: texts.length === 0 ? 0 : new Set(texts).size / texts.length,
    rising: risingShare(figures),
    sentence: share((t) => t.length > 12 && /[.!?]$/.test(t)),
    sameLength: commonest(texts.map((t) => t.length)),
    words: texts.length === 0 ? 0 : texts.reduce((n, t) => n + t.split(/\s+/).length, 0) / texts.length,
    length: texts.length === 0 ? 0 : texts.reduce((n, t) => n + t.length, 0) / texts.length,
    lower: share((t) => t === t.toLowerCase()),
    figures,
  }
}

function risingShare(figures: Float64Array): number {
  let rises = 0
  for (let i = 1; i < figures.length; i++) if ((figures[i] as number) > (figures[i - 1] as number)) rises++
  return figures.length < 2 ? 0 : rises / (figures.length - 1)
}

/** The share of the value that is there most often. */
function commonest(values: readonly number[]): number {
  const counts = new Map<number, number>()
  for (const v of values) counts.set(v, (counts.get(v) ?? 0) + 1)
  return values.length === 0 ? 0 : Math.max(...counts.values()) / values.length
}

/** 20260531 */
function isDayFigure(v: number): boolean {
  return (
    Number.isInteger(v) &&
    v > 19_700_101 &&
    v < 21_001_231 &&
    v % 100 >= 1 &&
    v % 100 <= 31 &&
    Math.floor(v / 100) % 100 <= 12
  )
}

function figureOf(cell: Cell, style: NumberStyle): number {
  if (typeof cell === 'number') return Number.isFinite(cell) ? cell : NaN
  if (typeof cell !== 'string' || cell.length > 40) return NaN
  const plain = plainNumber(cell, style)
  return plain === null ? NaN : Number(plain)
}
