import type { Item, ItemMaker } from '@sickle/core/catalog'
import { Finder, findRow, movers, type Answer, type FindRow, type OwnItems, type Query } from '@sickle/core/engine'
import { findRate } from '@sickle/core/money'
import { numberIn, textColumn, type Table } from '@sickle/core/tables'
import type { FirstScreen } from '../storage/snapshot'

/** What the seller chose to see. */
export interface Shown {
  strips: string[]
  columns: string[]
}

const mostRows = 2000
/** rows of the first screen that rest with what was worked out, beside those that were looked at */
const firstRows = 48

/**
 * What is worked out, and can be asked. The measures are there from the beginning; the catalog itself, which is much larger, may
 * still be on its way: what needs it waits for it, and the first screen does not.
 */
export class ItemEngine {
  readonly figures: Table
  #finder: Finder | null = null
  readonly maker: Promise<ItemMaker>
  #made: ItemMaker | null = null
  /** rows made so far, by place: most of those on the screen stay there when a limit moves */
  readonly #rows: Map<number, FindRow>
  readonly #places: Map<string, number>
  #columns: readonly string[] = []

  constructor(
    figures: Table,
    maker: ItemMaker | Promise<ItemMaker>,
    first: Pick<FirstScreen, 'rows' | 'places'> | null = null,
  ) {
    this.figures = figures
    this.#rows = new Map(first?.rows)
    this.#places = new Map(first?.places)
    this.maker = Promise.resolve(maker).then((made) => (this.#made = made))
    if (!(maker instanceof Promise)) this.#made = maker
  }

  /** Made when it is first asked: over a million items that takes a moment which not every change has to wait for. */
  get finder(): Finder {
    return (this.#finder ??= this.newFinder())
  }

  /** A finder of its own, which answers beside the one on the screen. @param strips which measures have one (default: the usual) */
  newFinder(strips?: readonly string[]): Finder {
    const maker = this.#made?.lens ? this.#made : null
    return new Finder(
      () => {
        const { catalog, lens } = this.#now()
        return { listings: catalog.listings, itemOf: lens?.itemOf ?? catalog.itemOf }
      },
      this.figures,
      { ...(strips ? { strips } : {}), isSeen: maker && ((item) => maker.isSeen(item)) },
    )
  }

  /**
   * @param shown which measures have a strip, and which stand in columns of their own
   * @param looked key of the item that is looked at: `isLookedFound` says whether it is among what was found
   */
  async ask(
    query: Query,
    hidden: readonly string[],
    shown: Shown & { own?: OwnItems },
    count: number,
    looked: string | null = null,
  ): Promise<Answer & { rows: FindRow[]; isLookedFound: boolean }> {
    if (query.words.trim() !== '' || query.phrase !== '' || query.stores.length > 0) await this.maker
    if (shown.strips.join() !== this.finder.strips.join()) this.#finder = this.newFinder(shown.strips)
    this.#columns = shown.columns.filter((name) => this.figures.columns[name]?.type === 'number')
    const answer = this.finder.ask(query, await this.placesOf(hidden), shown.own)
    const [place] = looked === null ? [] : await this.placesOf([looked])
    const isLookedFound = place !== undefined && this.finder.isFound(place)
    return { ...answer, rows: await this.rowsAt(0, count), isLookedFound }
  }

  /** More rows of the last answer. */
  async rowsAt(from: number, count: number): Promise<FindRow[]> {
    const places = [...this.finder.places(from, count)]
    if (this.#rows.size > mostRows) this.#rows.clear()
    if (places.some((at) => !this.#rows.has(at))) await this.maker
    return places.map((at) => ({ ...this.#row(at), figures: this.#figuresAt(at) }))
  }

  async placesOf(keys: readonly string[]): Promise<number[]> {
    if (keys.some((key) => !this.#places.has(key))) await this.maker
    return keys.flatMap((key) => {
      const place = this.#places.get(key) ?? this.#now().find(key)
      if (place !== null) this.#places.set(key, place)
      return place ?? []
    })
  }

  async itemOf(key: string): Promise<Item | null> {
    const maker = await this.maker
    const place = maker.find(key)
    return place === null ? null : maker.at(place)
  }

  async movers(most: number): Promise<{ rising: FindRow[]; fading: FindRow[] }> {
    await this.maker
    const { rising, fading } = movers(this.figures, most)
    return { rising: rising.map((m) => this.#row(m.place)), fading: fading.map((m) => this.#row(m.place)) }
  }

  /** Readies the finder for quick moves, step by step while `goesOn`. */
  prepareLater(goesOn: () => boolean): void {
    let work: Generator<void> | null = null
    const step = () => {
      if (goesOn() && !(work ??= this.finder.prepare()).next().done) setTimeout(step, 30)
    }
    setTimeout(step, 300)
  }

  /** What rests so that the first screen is there before the catalog. @param stores how many there are */
  firstScreen(stores: number): FirstScreen {
    const finder = this.newFinder()
    for (const at of finder.places(0, firstRows)) this.#row(at)
    return { summary: summaryOf(this.#now(), stores), rows: [...this.#rows], places: [...this.#places] }
  }

  #figuresAt(at: number): Record<string, number | null> {
    return Object.fromEntries(this.#columns.map((name) => [name, numberIn(this.figures, name, at)]))
  }

  #row(at: number): FindRow {
    const row = this.#rows.get(at) ?? findRow(this.#now().at(at, false))
    this.#rows.set(at, row)
    return row
  }

  #now(): ItemMaker {
    if (!this.#made) throw new Error('the catalog is not read yet')
    return this.#made
  }
}

export function summaryOf(maker: ItemMaker, stores: number): FirstScreen['summary'] {
  const { listings, windowEnds, offers } = maker.catalog
  return {
    items: maker.count,
    listings: listings.rows,
    offers: offers.length,
    branches: textColumn(listings, 'category').words.length,
    stores,
    markets: Object.keys(windowEnds).sort(),
    noRate: withoutRate(maker),
    figuresTo: Object.keys(windowEnds).length === 0 ? null : Math.max(...Object.values(windowEnds)),
  }
}

/** Currencies of listings that cannot be turned into the home currency. */
function withoutRate({ catalog, rules }: ItemMaker): string[] {
  const { words } = textColumn(catalog.listings, 'currency')
  const codes = Array.from({ length: words.length }, (_, i) => words.at(i) ?? '')
  return codes.filter((c) => findRate(c, rules.homeCurrency, rules.rates) === null).sort()
}
