import type { SeasonIndex } from '../demand'
import type { TitleForms, WordLesson } from '../goods'
import type { Offer } from '../supply'
import type { Table } from '../tables'
import type { SalesBlock } from './sales-block'

/** Everything gathered, as columns: listings, their sales, which of them are the same goods, and what suppliers offer. */
export interface Catalog {
  /** one row a listing */
  listings: Table
  sales: SalesBlock
  /** their titles taken apart, and listing → the group that barcodes and titles join it to, whatever the seller said */
  forms: TitleForms
  groupOf: Int32Array
  /** what those titles teach of words, with what the seller took back */
  lessons: WordLesson[]
  /** listing → item */
  itemOf: Int32Array
  /** item → its listings: `members` from `starts[item]` up to `starts[item + 1]` */
  starts: Int32Array
  members: Int32Array
  /** category → how its demand runs over the year */
  seasons: ReadonlyMap<string, SeasonIndex>
  /** stage of life, one row an item */
  life: Table
  /** what competing offers, clips and advertisements say, one row an item */
  reach: Table
  /** units of listings whose sales nobody publishes, one row a listing */
  unpublished: Table
  /** market → the last day its figures speak of: its windows end there */
  windowEnds: Record<string, number>
  offers: Offer[]
}
