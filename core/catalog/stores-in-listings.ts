import type { Capture } from '../records'
import {
  Dictionary,
  numberIn,
  numbers,
  textAt,
  textColumn,
  textIn,
  type Column,
  type Table,
  type TextColumn,
} from '../tables'
import { firstSaid } from './first-said'
import { isFigure, listingFields } from './listing-fields'

/** Where a listing does not say what its store's own record does (since when it trades, where it is), the list of stores says it. */
export function fillFromStores(listings: Table, captures: readonly Capture[]): Table {
  const lists = captures.filter((c) => c.kind === 'stores').sort((a, b) => a.capturedOn - b.capturedOn)
  if (lists.length === 0) return listings
  const storeOf = placesInStores(listings, lists)
  const columns: Record<string, Column> = { ...listings.columns }
  for (const field of listingFields) {
    if (field.storeField === undefined) continue
    columns[field.name] = isFigure(field)
      ? fillFigures(numbers(listings, field.name), storeOf, field.storeField)
      : fillTexts(textColumn(listings, field.name), storeOf, field.storeField)
  }
  return { ...listings, columns }
}

/** Rows of stores' lists that speak of a listing's store, newest first. */
type StoreRows = (listing: number) => readonly { table: Table; row: number }[]

function placesInStores(listings: Table, lists: readonly Capture[]): StoreRows {
  const key = (market: TextColumn, store: TextColumn, row: number) =>
    `${textAt(market, row) ?? '?'}/${textAt(store, row) ?? ''}`
  const places = new Map<string, { table: Table; row: number }[]>()
  for (const { table } of lists) {
    const [market, store] = [textColumn(table, 'market'), textColumn(table, 'store')]
    for (let row = 0; row < table.rows; row++) {
      const list = places.get(key(market, store, row))
      if (list) list.unshift({ table, row })
      else places.set(key(market, store, row), [{ table, row }])
    }
  }
  const [market, store] = [textColumn(listings, 'market'), textColumn(listings, 'store')]
  return (listing) => places.get(key(market, store, listing)) ?? []
}

function fillFigures(known: Float64Array, storeOf: StoreRows, name: string): Column {
  const values = known.map((value, listing) =>
    Number.isNaN(value) ? (firstSaid(storeOf(listing), ({ table, row }) => numberIn(table, name, row)) ?? NaN) : value,
  )
  return { type: 'number', values }
}

function fillTexts(known: TextColumn, storeOf: StoreRows, name: string): Column {
  const dictionary = new Dictionary(known.words)
  const codes = known.codes.map((code, listing) => {
    if (code >= 0) return code
    const word = firstSaid(storeOf(listing), ({ table, row }) => textIn(table, name, row))
    return word === null ? -1 : dictionary.code(word)
  })
  return { type: 'text', codes, words: dictionary.words }
}
