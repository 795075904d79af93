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

export const languages = ['en', 'de', 'fr', 'es', 'it', 'nl', 'pl', 'pt'] as const
export type Language = (typeof languages)[number]

/** Phrases by language, separated by commas, those that mean the thing best first; in small letters. */
export type Words = Partial<Record<Language, string>>

/** Few words that the cells of some fields hold, by the name of their list in `recognise/value-words.ts`. */
export type ValueListName =
  'yesNo' | 'verdicts' | 'conditions' | 'signs' | 'goods' | 'formats' | 'clips' | 'sorts' | 'languages'

export interface Field {
  name: string
  label: string
  type: FieldType
  required?: boolean
  /** headings that mean this field */
  says: Words
  /** the only words its cells hold */
  values?: ValueListName
  /** days of the window that its heading must name */
  window?: number
  /** helps to read a file; no record holds it */
  fileOnly?: boolean
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
  /** one of them, and several: what a count stands before */
  noun: readonly [one: string, several: string]
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
  /** Fields that together name a row: one alone is in each row another, of several the first comes again. */
  keys: readonly string[]
  /** Figures it lives on, and what is not known without them: what looks like one and was left out is asked about. */
  lives: Readonly<Record<string, string>>
  fields: readonly Field[]
}
