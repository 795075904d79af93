import { numberAt, numbers, textAt, textColumn, type Table, type TextColumn } from '../tables'

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
  tags: string | null
  picture: string | null
  /** day of the newest import that speaks of it */
  capturedOn: number
}

/** Text fields with few different words: words of several imports become one dictionary. */
export const sharedTexts = ['market', 'store', 'category', 'gtin', 'kind', 'format', 'promotion'] as const
/** Text fields where nearly every listing has words of its own. */
export const ownTexts = ['id', 'title', 'tags', 'picture'] as const
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
    const texts = [...sharedTexts, ...ownTexts, 'currency'].map((name) => [name, textColumn(table, name)])
    this.#texts = Object.fromEntries(texts) as Record<TextName, TextColumn>
    this.#figures = new Map(
      [...figures, 'price', 'units', 'unitsDay', 'windowDays', 'capturedOn'].map((n) => [n, numbers(table, n)]),
    )
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

  market(row: number): string {
    return textAt(this.#texts.market, row) ?? '?'
  }

  figure(name: string, row: number): number | null {
    return numberAt(this.#figures.get(name) ?? new Float64Array(0), row)
  }

  at(row: number): Listing {
    const t = (name: TextName) => textAt(this.#texts[name], row)
    const n = (name: string) => this.figure(name, row)
    return {
      key: this.key(row), market: this.market(row), id: t('id') ?? '?', title: t('title'), store: t('store'), price: n('price'),
      currency: t('currency'), delivery: n('delivery'), units: n('units'), unitsDay: n('unitsDay'), windowDays: n('windowDays'),
      unitsTotal: n('unitsTotal'), rating: n('rating'), reviews: n('reviews'), listedOn: n('listedOn'), category: t('category'),
      gtin: t('gtin'), kind: t('kind'), format: t('format'), promotion: t('promotion'),
      durationDays: n('durationDays'), endHour: n('endHour'), stock: n('stock'), tags: t('tags'), picture: t('picture'), capturedOn: n('capturedOn') ?? 0,
    } // prettier-ignore
  }
}
