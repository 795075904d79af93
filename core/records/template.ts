import { keptFields, recordKind } from './record-kinds'
import type { FieldType, KindName } from './field'
import { writeCsv } from '../notation'

/** A value of each type as a file may write it. */
const examples: Record<FieldType, string> = {
  text: 'words',
  id: '0012345',
  gtin: '2900000000117',
  money: '12.50',
  count: '120',
  ratio: '12.5 %',
  rating: '4.6',
  day: '2026-05-31',
  currency: 'EUR',
  lead: '7-10',
  weight: '350 g',
  size: '30 x 20 x 10 cm',
  list: 'balcony|herb',
  path: 'Garden / Balcony',
  tiers: '1:4.71;10:4.20',
}

/** An empty file to fill in: the headings under which Sickle knows every field of a kind for certain, and one row as an example. */
export function template(name: KindName): string {
  const fields = keptFields(recordKind(name))
  return writeCsv([fields.map((f) => f.label), fields.map((f) => examples[f.type])])
}
