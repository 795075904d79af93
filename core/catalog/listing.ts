import { numberAt, numbers, textAt, textColumn, type Table, type TextColumn } from '../tables'

/** stands for a column that nothing is known of: a blank one for each of a million listings would take room for nothing */
const absent: TextColumn = { type: 'text', codes: new Int32Array(0), words: [] }
const absentFigures = new Float64Array(0)

/** A listing as all imports together know it: of each field the latest that is known. Money in its own currency. */
export interface Listing {
  key: string
  market: string
  id: string
  title: string | null
  store: string | null
  price: number | null
  currency: string | null
  delivery: number | null
  units: number | null
  unitsDay: number | null
  windowDays: number | null
  unitsTotal: number | null
  rating: number | null
  reviews: number | null
  listedOn: number | null
  category: string | null
  gtin: string | null
  kind: string | null
  format: string | null
  promotion: string | null
  durationDays: number | null
  endHour: number | null
  stock: number | null
  /** place among what sells on its market, 1 being first */
  rank: number | null
  /** share of the price for those who promote it */
  commission: number | null
  /** how many promote it, as the market says */
  creators: number | null
  storeSince: number | null
  country: string | null
  language: string | null
  shipsFrom: string | null
  tags: string | null
  picture: string | null
  /** where it can be seen, as its file says */
  url: string | null
  /** day of the newest import that speaks of it */
  capturedOn: number
}

/** Text fields with few different words: words of several imports become one dictionary. */
export const sharedTexts = [
  'market',
  'store',
  'category',
  'gtin',
  'kind',
  'format',
  'promotion',
  'country',
  'language',
  'shipsFrom',
  'brand',
] as const
/** Text fields where nearly every listing has words of its own. */
export const ownTexts = ['id', 'title', 'tags', 'picture', 'url'] as const
/** Figures that a newer import replaces where it knows them. Money in E4 of the listing's currency. */
export const figures = [
  'delivery',
  'unitsTotal',
  'rating',
  'reviews',
  'listedOn',
  'stock',
  'durationDays',
  'endHour',
  'rank',
  'commission',
  'creators',
  'storeSince',
] as const

type TextName = (typeof sharedTexts)[number] | (typeof ownTexts)[number] | 'currency'

export function listingKey(market: string | null, id: string | null): string {
  return `${market ?? '?'}/${id ?? '?'}`
}

/** Reads single listings out of the columns of all of them. */
export class ListingReader {
  readonly rows: number
  readonly #texts: Record<TextName, TextColumn>
  readonly #figures: Map<string, Float64Array>

  constructor(table: Table) {
    this.rows = table.rows
    const texts = [...sharedTexts, ...ownTexts, 'currency'].map((name) => [
      name,
      table.columns[name] ? textColumn(table, name) : absent,
    ])
    this.#texts = Object.fromEntries(texts) as Record<TextName, TextColumn>
    const known = [...figures, 'price', 'units', 'unitsDay', 'windowDays', 'capturedOn'].filter((n) => table.columns[n])
    this.#figures = new Map(known.map((n) => [n, numbers(table, n)]))
  }

  key(row: number): string {
    return listingKey(textAt(this.#texts.market, row), textAt(this.#texts.id, row))
  }

  title(row: number): string | null {
    return textAt(this.#texts.title, row)
  }

  gtin(row: number): string | null {
    return textAt(this.#texts.gtin, row)
  }

  category(row: number): string | null {
    return textAt(this.#texts.category, row)
  }

  brand(row: number): string | null {
    return textAt(this.#texts.brand, row)
  }

  market(row: number): string {
    return textAt(this.#texts.market, row) ?? '?'
  }

  figure(name: string, row: number): number | null {
    return numberAt(this.#figures.get(name) ?? absentFigures, row)
  }

  at(row: number): Listing {
    const t = (name: TextName) => textAt(this.#texts[name], row)
    const n = (name: string) => this.figure(name, row)
    return {
      key: this.key(row), market: this.market(row), id: t('id') ?? '?', title: t('title'), store: t('store'), price: n('price'),
      currency: t('currency'), delivery: n('delivery'), units: n('units'), unitsDay: n('unitsDay'), windowDays: n('windowDays'),
      unitsTotal: n('unitsTotal'), rating: n('rating'), reviews: n('reviews'), listedOn: n('listedOn'), category: t('category'),
      gtin: t('gtin'), kind: t('kind'), format: t('format'), promotion: t('promotion'),
      durationDays: n('durationDays'), endHour: n('endHour'), stock: n('stock'), rank: n('rank'), commission: n('commission'),
      creators: n('creators'), storeSince: n('storeSince'), country: t('country'), language: t('language'), shipsFrom: t('shipsFrom'), tags: t('tags'), picture: t('picture'), url: t('url'), capturedOn: n('capturedOn') ?? 0,
    } // prettier-ignore
  }
}
