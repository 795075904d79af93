import type { Capture, KindName } from '../intake'
import { numbers, rowReader, textColumn, type RowReader } from '../tables'

/** A listing as all imports together know it: of each field the latest that is known. Money in its own currency. */
export interface Listing {
  key: string
  market: string
  id: string
  title: string | null
  store: string | null
  priceE4: number | null
  currency: string | null
  deliveryE4: number | null
  units: number | null
  unitsDay: number | null
  windowDays: number
  unitsTotal: number | null
  rating: number | null
  reviews: number | null
  listedOn: number | null
  category: string | null
  gtin: string | null
  kind: string | null
  stock: number | null
  tags: string | null
  picture: string | null
  /** newest import that speaks of it */
  source: string
  capturedOn: number
}

export function listingKey(market: string | null, id: string | null): string {
  return `${market ?? '?'}/${id ?? '?'}`
}

const texts = ['title', 'store', 'currency', 'category', 'gtin', 'kind', 'tags', 'picture'] as const
const figures = ['deliveryE4', 'unitsTotal', 'rating', 'reviews', 'listedOn', 'stock'] as const

/** All listings of all captures, oldest capture first, so that later ones overwrite what they know. Sales name listings too. */
export function mergeListings(captures: readonly Capture[]): Listing[] {
  const byKey = new Map<string, Listing>()
  const inTime = [...captures].sort((a, b) => a.capturedOn - b.capturedOn || rank(a.kind) - rank(b.kind))
  for (const capture of inTime) {
    if (capture.kind === 'listings') takeListings(capture, byKey)
    if (capture.kind === 'sales') takeSales(capture, byKey)
  }
  return [...byKey.values()]
}

function rank(kind: KindName): number {
  return kind === 'sales' ? 0 : 1
}

function takeListings(capture: Capture, byKey: Map<string, Listing>): void {
  const { table } = capture
  const read = rowReader(table)
  for (let row = 0; row < table.rows; row++) {
    const listing = listingOf(read, row, capture, byKey)
    for (const name of texts) listing[name] = read.text(name, row) ?? listing[name]
    for (const name of figures) listing[name] = read.number(name.replace('E4', ''), row) ?? listing[name]
    const price = read.number('price', row)
    if (price !== null) listing.priceE4 = price
    const units = read.number('units', row)
    if (units !== null) {
      listing.units = units
      listing.unitsDay = capture.capturedOn
      listing.windowDays = capture.windowDays
    }
  }
}

/** What sales say of their listings beside units. Rows of one listing mostly follow each other; where no prices are given only the first of a run is read. */
function takeSales(capture: Capture, byKey: Map<string, Listing>): void {
  const { table } = capture
  const read = rowReader(table)
  const [market, id, price, day] = [
    textColumn(table, 'market'),
    textColumn(table, 'id'),
    numbers(table, 'price'),
    numbers(table, 'day'),
  ]
  const latest = new Map<string, number>()
  let listing: Listing | null = null
  for (let row = 0; row < table.rows; row++) {
    const goesOn =
      listing !== null && market.codes[row] === market.codes[row - 1] && id.codes[row] === id.codes[row - 1]
    if (!goesOn) {
      listing = listingOf(read, row, capture, byKey)
      for (const name of ['title', 'store', 'category', 'gtin'] as const) listing[name] ??= read.text(name, row)
    }
    const known = listing as Listing
    if (Number.isNaN(price[row]) || (day[row] as number) < (latest.get(known.key) ?? -Infinity)) continue
    latest.set(known.key, day[row] as number)
    known.priceE4 = price[row] as number
    known.currency = read.text('currency', row) ?? known.currency
  }
}

function listingOf(read: RowReader, row: number, capture: Capture, byKey: Map<string, Listing>): Listing {
  const market = read.text('market', row) ?? '?'
  const id = read.text('id', row) ?? '?'
  const key = listingKey(market, id)
  let listing = byKey.get(key)
  if (!listing) {
    listing = {
      key, market, id, title: null, store: null, priceE4: null, currency: null, deliveryE4: null, units: null, unitsDay: null,
      windowDays: 30, unitsTotal: null, rating: null, reviews: null, listedOn: null, category: null, gtin: null, kind: null,
      stock: null, tags: null, picture: null, source: capture.id, capturedOn: capture.capturedOn,
    } // prettier-ignore
    byKey.set(key, listing)
  }
  listing.source = capture.id
  listing.capturedOn = capture.capturedOn
  return listing
}
