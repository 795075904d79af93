import { numberAt, textAt, type NumberColumn, type Table, type TextColumn } from '../tables'
import { isFigure, listingFields, type ListingValues } from './listing-fields'

/** A listing as all imports together know it: of each field the latest that is known. Money in its own currency. */
export interface Listing extends Omit<ListingValues, 'market' | 'id'> {
  key: string
  market: string
  id: string
  /** last day and length of the window that its units were counted in */
  unitsDay: number | null
  windowDays: number | null
  /** day of the newest import that speaks of it */
  capturedOn: number
}

type TextName = {
  [K in keyof ListingValues]: string extends NonNullable<ListingValues[K]> ? K : never
}[keyof ListingValues]
export type FigureName = Exclude<keyof ListingValues, TextName> | 'unitsDay' | 'windowDays' | 'capturedOn'

/** stands for a column that nothing is known of: a blank one for each of a million listings would take room for nothing */
const noTexts: TextColumn = { type: 'text', codes: new Int32Array(0), words: [] }
const noFigures: NumberColumn = { type: 'number', values: new Float64Array(0) }

const textNames = listingFields.filter((f) => !isFigure(f)).map((f) => f.name)
const figureNames = [...listingFields.filter(isFigure).map((f) => f.name), 'unitsDay', 'windowDays', 'capturedOn']

export function listingKey(market: string | null, id: string | null): string {
  return `${market ?? '?'}/${id ?? '?'}`
}

/** Reads single listings out of the columns of all of them. */
export class ListingReader {
  readonly rows: number
  readonly #texts: Readonly<Record<string, TextColumn>>
  readonly #figures: Readonly<Record<string, Float64Array>>

  constructor(table: Table) {
    this.rows = table.rows
    const column = (name: string) => table.columns[name]
    this.#texts = Object.fromEntries(
      textNames.map((name) => [name, column(name)?.type === 'text' ? (column(name) as TextColumn) : noTexts]),
    )
    this.#figures = Object.fromEntries(
      figureNames.map((name) => {
        const found = column(name)
        return [name, (found?.type === 'number' ? found : noFigures).values]
      }),
    )
  }

  key(row: number): string {
    return listingKey(this.text('market', row), this.text('id', row))
  }

  text(name: TextName, row: number): string | null {
    return textAt(this.#texts[name] ?? noTexts, row)
  }

  market(row: number): string {
    return this.text('market', row) ?? '?'
  }

  figure(name: FigureName, row: number): number | null {
    return numberAt(this.#figures[name] ?? noFigures.values, row)
  }

  /** What is known of a listing. Nothing is read before it is asked for: most of a million listings are asked for a few fields. */
  at(row: number): Listing {
    return new ReadListing(this, row) as unknown as Listing
  }
}

/** A listing whose fields are read out of the columns one by one, as they are asked for; its getters follow from the table. */
class ReadListing {
  constructor(
    readonly reader: ListingReader,
    readonly row: number,
  ) {}
}
function getter(name: string, get: (listing: ReadListing) => unknown): void {
  Object.defineProperty(ReadListing.prototype, name, {
    enumerable: true,
    configurable: true, // some are read in a way of their own, below
    get(this: ReadListing) {
      return get(this)
    },
  })
}
for (const name of textNames) getter(name, ({ reader, row }) => reader.text(name as TextName, row))
for (const name of figureNames) getter(name, ({ reader, row }) => reader.figure(name as FigureName, row))
getter('key', ({ reader, row }) => reader.key(row))
getter('market', ({ reader, row }) => reader.market(row))
getter('id', ({ reader, row }) => reader.text('id', row) ?? '?')
getter('capturedOn', ({ reader, row }) => reader.figure('capturedOn', row) ?? 0)
