import type { Capture } from '../records'
import { numberAt, numbers, textAt, textColumn, type Table, type TextColumn } from '../tables'

interface StoreFacts {
  since: number | null
  country: string | null
}

/** Where a listing does not say since when its store trades or where it is, the list of stores does, if one was brought in. */
export function fillFromStores(listings: Table, captures: readonly Capture[]): Table {
  const facts = storeFacts(captures)
  if (facts.size === 0) return listings
  const [market, store] = [textColumn(listings, 'market'), textColumn(listings, 'store')]
  const since = numbers(listings, 'storeSince').slice()
  const country = growing(textColumn(listings, 'country'))
  for (let row = 0; row < listings.rows; row++) {
    const known = facts.get(`${textAt(market, row) ?? '?'}/${textAt(store, row) ?? ''}`)
    if (!known) continue
    if (Number.isNaN(since[row]) && known.since !== null) since[row] = known.since
    if (known.country !== null) country.fill(row, known.country)
  }
  return { ...listings, columns: { ...listings.columns, storeSince: { type: 'number', values: since }, country: country.column } }
} // prettier-ignore

/** Stores by 'Market/Store'; a later capture says more. */
function storeFacts(captures: readonly Capture[]): Map<string, StoreFacts> {
  const facts = new Map<string, StoreFacts>()
  const lists = captures.filter((c) => c.kind === 'stores').sort((a, b) => a.capturedOn - b.capturedOn)
  for (const { table } of lists) {
    const [market, store, country] = [textColumn(table, 'market'), textColumn(table, 'store'), textColumn(table, 'country')]
    const since = numbers(table, 'since')
    for (let row = 0; row < table.rows; row++) {
      const key = `${textAt(market, row) ?? '?'}/${textAt(store, row) ?? ''}`
      const before = facts.get(key)
      facts.set(key, {
        since: numberAt(since, row) ?? before?.since ?? null,
        country: textAt(country, row) ?? before?.country ?? null,
      })
    }
  }
  return facts
} // prettier-ignore

/** A text column whose unknown rows can be filled. */
function growing(column: TextColumn): { column: TextColumn; fill: (row: number, word: string) => void } {
  const codes = column.codes.slice()
  const words = Array.from({ length: column.words.length }, (_, i) => column.words.at(i) ?? '')
  const index = new Map(words.map((word, code) => [word, code]))
  return {
    column: { type: 'text', codes, words },
    fill(row, word) {
      if (codes[row] !== -1) return
      const code = index.get(word) ?? words.push(word) - 1
      index.set(word, code)
      codes[row] = code
    },
  }
}
