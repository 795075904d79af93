import type { Capture, KindName } from '../records'
import type { Table } from '../tables'
import type { Catalog } from './catalog'

/** What came in or went since a catalog was worked out. */
export interface Gathered {
  /** kinds of all that came in or went */
  kinds: ReadonlySet<KindName>
  /** lists of listings that came in, newer than all that was there, where nothing else came and nothing went but small kinds; else null */
  newest: readonly Capture[] | null
  /** all captures of kinds other than listings and sales, as they are now */
  others: readonly Capture[]
  /** all captures, as they are now; asked for where the change cannot be laid over what stands */
  all: () => Promise<readonly Capture[]>
}

/** A catalog that was brought up to date. */
export interface CatalogChange {
  catalog: Catalog
  /** item → the item of before that has the same figures, but for days that have passed; -1 where they are to be worked out */
  sameAs: Int32Array
}

/** Listings as they are now, and how they go with those of before. */
export interface NewListings {
  listings: Table
  sales: Catalog['sales']
  unpublished: Table
  /** listing → listing of before, -1 for a new one */
  oldOf: Int32Array
  /** listing → 1 where something came in or went that speaks of it */
  touched: Uint8Array
}
