import { Dictionary, joinWords, numbers, textColumn, type Column, type Table, type WordList } from '../tables'
import { isFigure, listingFields } from './listing-fields'
import type { NumberedCapture } from './number-listings'

/**
 * All listings as one table, one row each, by the merge rule of each field. Captures come oldest first: a later one overwrites what
 * it knows and leaves what it does not say. What nobody says anything of has no column: at a million listings each takes 8 MB.
 *
 * @param base what older captures made of the first listings: it is not changed
 */
export function mergeListings(count: number, captures: readonly NumberedCapture[], base: Table | null = null): Table {
  const columns: Record<string, Column> = {}
  for (const field of listingFields) {
    const { name, merge = 'latest', distinct = false } = field
    const sayIt = captures.filter(
      ({ capture }) => capture.table.columns[name] && (merge === 'named' || capture.kind === 'listings'),
    )
    if (merge === 'apart' || (sayIt.length === 0 && !base?.columns[name])) continue
    columns[name] = isFigure(field)
      ? { type: 'number', values: mergeFigures(name, sayIt, grownFigures(count, base, name)) }
      : mergeTexts(name, sayIt, grownTexts(count, base, name), distinct)
  }
  for (const [name, values] of Object.entries(mergeWindows(count, captures, base)))
    columns[name] = { type: 'number', values }
  return { rows: count, columns: { ...columns, ...mergePrices(count, captures, base) } }
}

function grownFigures(count: number, base: Table | null, name: string): Float64Array {
  const values = new Float64Array(count).fill(NaN, base?.columns[name] ? base.rows : 0)
  if (base?.columns[name]) values.set(numbers(base, name))
  return values
}

function grownTexts(count: number, base: Table | null, name: string) {
  const known = base?.columns[name] ? textColumn(base, name) : null
  const codes = new Int32Array(count).fill(-1, known?.codes.length ?? 0)
  if (known) codes.set(known.codes)
  return { codes, words: known?.words ?? [] }
}

function mergeTexts(
  name: string,
  captures: readonly NumberedCapture[],
  { codes, words }: ReturnType<typeof grownTexts>,
  distinct: boolean,
): Column {
  const lists: WordList[] = [words]
  // of one list alone every word has its number already
  const isAlone = words.length === 0 && captures.length === 1
  const shared = distinct || isAlone ? null : new Dictionary(words)
  let base = words.length
  for (const { capture, rows, listings } of captures) {
    const column = textColumn(capture.table, name)
    const recoded = shared?.recode(column.words)
    // Sales name listings too, but only fill what no list of listings says.
    const onlyFills = capture.kind === 'sales'
    const first = base
    rows.forEach((row, i) => {
      const code = column.codes[row] as number
      const listing = listings[i] as number
      if (code < 0 || (onlyFills && codes[listing] !== -1)) return
      codes[listing] = recoded ? (recoded[code] as number) : first + code
    })
    lists.push(column.words)
    base += column.words.length
  }
  if (isAlone && lists[1]) return { type: 'text', codes, words: distinct ? lists[1] : textsOf(lists[1]) }
  return { type: 'text', codes, words: shared?.words ?? joinWords(lists) }
}

/** Words as texts: what many listings share is asked for over and over. */
const textsOf = (words: WordList) => Array.from({ length: words.length }, (_, i) => words.at(i) ?? '')

function mergeFigures(name: string, captures: readonly NumberedCapture[], merged: Float64Array): Float64Array {
  for (const { capture, rows, listings } of captures) {
    const values = numbers(capture.table, name)
    rows.forEach((row, i) => {
      const value = values[row] as number
      if (!Number.isNaN(value)) merged[listings[i] as number] = value
    })
  }
  return merged
}

/** Units go with the day and the length of the window they were counted in. */
function mergeWindows(count: number, captures: readonly NumberedCapture[], base: Table | null) {
  const grown = (name: string) => grownFigures(count, base, name)
  const [units, unitsDay, windowDays, capturedOn] = [
    grown('units'),
    grown('unitsDay'),
    grown('windowDays'),
    grown('capturedOn'),
  ]
  for (const { capture, rows, listings } of captures) {
    const values = capture.kind === 'listings' ? numbers(capture.table, 'units') : null
    rows.forEach((row, i) => {
      const listing = listings[i] as number
      capturedOn[listing] = capture.capturedOn
      const value = values?.[row] ?? NaN
      if (Number.isNaN(value)) return
      units[listing] = value
      unitsDay[listing] = capture.capturedOn
      windowDays[listing] = capture.windowDays
    })
  }
  return { units, unitsDay, windowDays, capturedOn }
}

/**
 * Prices with their currency, in the order of time: a list of listings says them plainly, a sales file by its last day.
 */
function mergePrices(count: number, captures: readonly NumberedCapture[], base: Table | null) {
  const values = grownFigures(count, base, 'price')
  const { codes, words } = grownTexts(count, base, 'currency')
  const currencies = new Dictionary(words)
  for (const { capture, rows, listings } of captures) {
    const { table } = capture
    const isSales = capture.kind === 'sales'
    if (isSales && !table.columns.price) continue
    const [prices, days, money] = [numbers(table, 'price'), numbers(table, 'day'), textColumn(table, 'currency')]
    const recoded = currencies.recode(money.words)
    const last = new Map<number, number>()
    for (let run = 0; run < rows.length; run++) {
      const listing = listings[run] as number
      const first = rows[run] as number
      const end = isSales ? (rows[run + 1] ?? table.rows) : first + 1
      for (let row = first; row < end; row++) {
        const known = !Number.isNaN(prices[row])
        if (isSales && (!known || (days[row] as number) < (last.get(listing) ?? -Infinity))) continue
        if (isSales) last.set(listing, days[row] as number)
        if (known) values[listing] = prices[row] as number
        const code = money.codes[row] as number
        if (code >= 0) codes[listing] = recoded[code] as number
      }
    }
  }
  const price: Column = { type: 'number', values }
  const currency: Column = { type: 'text', codes, words: currencies.words }
  return { price, currency }
}
