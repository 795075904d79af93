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
  | 'weight' // grams
  | 'size' // three lengths, kept as '30 x 20 x 10 cm'
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

/** How a figure stands on a screen. */
export type FigureFormat = 'money' | 'signed money' | 'count' | 'percent' | 'rating' | 'number' | 'score'

/** Edges of a strip's bins in the figure's own unit; the first and last bin take what lies beyond. */
export interface StripScale {
  from: number
  to: number
  kind: 'linear' | 'log'
}

/** What an item of several listings makes of a field, and how it is shown. */
export interface ItemUse {
  /** the first that is known; each word once; or one figure out of those that are known */
  as: 'first' | 'words' | 'least' | 'most' | 'sum' | 'mean'
  /** field that a mean is weighed by, each listing counting once at least */
  weight?: string
  /** makes it a measure: a strip, a column, an order and a limit of Cuts */
  measure?: { label: string; format: FigureFormat; scale: StripScale; band?: readonly [number | null, number | null] }
  /** makes it a facet, by the name under which queries keep it */
  facet?: { name: string; label: string }
}

export interface Field {
  name: string
  label: string
  type: FieldType
  required?: boolean
  /** headings that mean this field */
  headings: Words
  /** the only words its cells hold */
  values?: ValueListName
  /** days of the window that its heading must name */
  window?: number
  /**
   * how captures that speak of one listing become one value: the newest list of listings that says it ('latest', the default);
   * likewise, but where none says it a sales file may ('named'); by a rule of its own, with others ('apart'); it is not kept ('none')
   */
  merge?: 'latest' | 'named' | 'apart' | 'none'
  /** nearly every listing has words of its own: dictionaries are put behind each other instead of being made one */
  distinct?: boolean
  /** field of a list of stores that says it where no listing does */
  storeField?: string
  item?: ItemUse
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
  dayMeans?: 'day' | 'period'
  /** the field that says that day, if it is not `day` */
  dayField?: string
  /** Fields that together name a row: one alone is in each row another, of several the first comes again. */
  keys: readonly string[]
  /** Figures it lives on, and what is not known without them: what looks like one and was left out is asked about. */
  lives: Readonly<Record<string, string>>
  fields: readonly Field[]
}

/** A field whose name and type the compiler knows too. */
export function field<const N extends string, const T extends FieldType>(
  f: Field & { readonly name: N; readonly type: T },
): Field & { readonly name: N; readonly type: T } {
  return f
}

/** A kind of which the compiler knows every field. */
export function kind<const F extends readonly Field[]>(k: RecordKind & { fields: F }): RecordKind & { fields: F } {
  return k
}
