import { ads } from './kinds/ads'
import { catalogue } from './kinds/catalogue'
import { clips } from './kinds/clips'
import { competing } from './kinds/competing'
import { feedback } from './kinds/feedback'
import { listings } from './kinds/listings'
import { offers } from './kinds/offers'
import { orders } from './kinds/orders'
import { restricted } from './kinds/restricted'
import { sales } from './kinds/sales'
import { stores } from './kinds/stores'
import { terms } from './kinds/terms'

/** What a value is, which decides how it is read, stored and shown. */
export type FieldType =
  | 'text' // any words
  | 'id' // an identifier: never a number, leading zeros survive
  | 'gtin'
  | 'money'
  | 'count' // a whole number, 0 or more
  | 'ratio' // percent or plain ratio
  | 'rating' // stars, 0 to 5
  | 'day'
  | 'currency'
  | 'lead' // days, perhaps a range; the longer end counts
  | 'list' // several words, kept joined by '|'
  | 'path' // a category, broad to narrow, kept joined by ' / '
  | 'tiers' // unit price by quantity, kept as 'from:E4;from:E4', written 'from:price;from:price'

export interface Field {
  name: string
  label: string
  type: FieldType
  required?: boolean
  /** Heading phrases that mean this field, best first; in lower case without punctuation. */
  says: readonly string[]
  /** How much finding it speaks for this kind of file (default 1). */
  weight?: number
  help: string
}

export type KindName =
  | 'listings'
  | 'sales'
  | 'offers'
  | 'stores'
  | 'feedback'
  | 'terms'
  | 'competing'
  | 'clips'
  | 'ads'
  | 'orders'
  | 'catalogue'
  | 'restricted'

export interface RecordKind {
  name: KindName
  label: string
  /** What one row is, in a sentence. */
  row: string
  /** what is asked once for the whole file where no column says it */
  from: 'market' | 'supplier'
  /** do units in it count over a window of days? */
  hasWindow?: boolean
  /** where its newest day is the last that a file speaks of: is that a day, or the first of a week or month? */
  isBy?: 'day' | 'period'
  /** the field that says that day, if it is not `day` */
  dayField?: string
  fields: readonly Field[]
}

/** Every kind of record Sickle takes in. The intake, the mapping screen, the templates and docs/formats.md follow from this table. */
export const recordKinds: readonly RecordKind[] = [
  listings,
  sales,
  offers,
  stores,
  feedback,
  terms,
  competing,
  clips,
  ads,
  orders,
  catalogue,
  restricted,
]

export function recordKind(name: KindName): RecordKind {
  return recordKinds.find((k) => k.name === name) as RecordKind
}

/** Is the field kept as a number? */
export function isNumeric(type: FieldType): boolean {
  return ['money', 'count', 'ratio', 'rating', 'day', 'lead'].includes(type)
}
