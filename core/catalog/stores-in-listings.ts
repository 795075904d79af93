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
  const values = known.slice()
  for (let listing = 0; listing < values.length; listing++) {
    if (!Number.isNaN(values[listing])) continue
    for (const { table, row } of storeOf(listing)) {
      const value = numberIn(table, name, row)
      if (value === null) continue
      values[listing] = value
      break
    }
  }
  return { type: 'number', values }
}

function fillTexts(known: TextColumn, storeOf: StoreRows, name: string): Column {
  const codes = known.codes.slice()
  const dictionary = new Dictionary(known.words)
  for (let listing = 0; listing < codes.length; listing++) {
    if (codes[listing] !== -1) continue
    for (const { table, row } of storeOf(listing)) {
      const word = textIn(table, name, row)
      if (word === null) continue
      codes[listing] = dictionary.code(word)
      break
    }
  }
  return { type: 'text', codes, words: dictionary.words }
}
