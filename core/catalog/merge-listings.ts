import { joinWords, numbers, textColumn, type Column, type Table, type WordList } from '../tables'
import { figures, ownTexts, sharedTexts } from './listing'
import type { NumberedCapture } from './number-listings'

/**
 * All listings as one table, one row each. Captures come oldest first: a later one overwrites what it knows and leaves what
 * it does not say. Sales name listings too, but only fill what no list of listings says.
 */
export function mergeListings(count: number, captures: readonly NumberedCapture[]): Table {
  const columns: Record<string, Column> = {}
  // What nobody says anything of has no column: at a million listings each would take 8 MB.
  const said = (name: string) => captures.some(({ capture }) => capture.table.columns[name])
  for (const name of sharedTexts.filter(said)) columns[name] = mergeTexts(name, count, captures, true)
  for (const name of ownTexts.filter(said)) columns[name] = mergeTexts(name, count, captures, false)
  for (const name of figures.filter(said))
    columns[name] = { type: 'number', values: mergeFigures(name, count, captures) }
  const windows = mergeWindows(count, captures)
  for (const [name, values] of Object.entries(windows)) columns[name] = { type: 'number', values }
  return { rows: count, columns: { ...columns, ...mergePrices(count, captures) } }
}

/** Fields that a sales file may fill where nothing else does. */
const fromSales = new Set<string>(['market', 'id', 'title', 'store', 'category', 'gtin'])

function mergeTexts(name: string, count: number, captures: readonly NumberedCapture[], shared: boolean): Column {
  const codes = new Int32Array(count).fill(-1)
  const lists: WordList[] = []
  const words: string[] = []
  const index = new Map<string, number>()
  let base = 0
  for (const { capture, rows, listings } of captures) {
    if (!capture.table.columns[name] || (capture.kind === 'sales' && !fromSales.has(name))) continue
    const column = textColumn(capture.table, name)
    const recoded = shared ? recode(column.words, words, index) : null
    for (let i = 0; i < rows.length; i++) {
      const code = column.codes[rows[i] as number] as number
      const listing = listings[i] as number
      if (code < 0 || (capture.kind === 'sales' && codes[listing] !== -1)) continue
      codes[listing] = recoded ? (recoded[code] as number) : base + code
    }
    lists.push(column.words)
    base += column.words.length
  }
  return { type: 'text', codes, words: shared ? words : joinWords(lists) }
}

/** Numbers of a list's words in the shared list, which grows by those that are new. */
function recode(list: WordList, words: string[], index: Map<string, number>): Int32Array {
  return Int32Array.from({ length: list.length }, (_, i) => {
    const word = list.at(i) ?? ''
    let code = index.get(word)
    if (code === undefined) {
      index.set(word, (code = words.length))
      words.push(word)
    }
    return code
  })
}

function mergeFigures(name: string, count: number, captures: readonly NumberedCapture[]): Float64Array {
  const merged = new Float64Array(count).fill(NaN)
  for (const { capture, rows, listings } of captures) {
    if (capture.kind !== 'listings' || !capture.table.columns[name]) continue
    const values = numbers(capture.table, name)
    for (let i = 0; i < rows.length; i++) {
      const value = values[rows[i] as number] as number
      if (!Number.isNaN(value)) merged[listings[i] as number] = value
    }
  }
  return merged
}

/** Units go with the day and the length of the window they were counted in. */
function mergeWindows(count: number, captures: readonly NumberedCapture[]): Record<string, Float64Array> {
  const blank = () => new Float64Array(count).fill(NaN)
  const [units, unitsDay, windowDays, capturedOn] = [blank(), blank(), blank(), blank()]
  for (const { capture, rows, listings } of captures) {
    const values = capture.kind === 'listings' ? numbers(capture.table, 'units') : null
    for (let i = 0; i < rows.length; i++) {
      const listing = listings[i] as number
      capturedOn[listing] = capture.capturedOn
      const value = values?.[rows[i] as number] ?? NaN
      if (Number.isNaN(value)) continue
      units[listing] = value
      unitsDay[listing] = capture.capturedOn
      windowDays[listing] = capture.windowDays
    }
  }
  return { units, unitsDay, windowDays, capturedOn }
}

/**
 * Prices with their currency, in the order of time: a list of listings says them plainly, a sales file by its last day.
 */
function mergePrices(count: number, captures: readonly NumberedCapture[]): { price: Column; currency: Column } {
  const values = new Float64Array(count).fill(NaN)
  const codes = new Int32Array(count).fill(-1)
  const words: string[] = []
  const index = new Map<string, number>()
  for (const { capture, rows, listings } of captures) {
    const { table } = capture
    const isSales = capture.kind === 'sales'
    if (isSales && !table.columns.price) continue
    const [prices, days, money] = [numbers(table, 'price'), numbers(table, 'day'), textColumn(table, 'currency')]
    const recoded = recode(money.words, words, index)
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
  return { price: { type: 'number', values }, currency: { type: 'text', codes, words } }
}
