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
import type { Field, FieldType, KindName, RecordKind } from './field'

export * from './field'

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

/** The fields that a record of a kind holds. */
export function keptFields(kind: RecordKind): readonly Field[] {
  return kind.fields.filter((f) => f.fileOnly !== true)
}

/** Is the field kept as a number? */
export function isNumeric(type: FieldType): boolean {
  return ['money', 'count', 'ratio', 'rating', 'day', 'lead', 'weight'].includes(type)
}
