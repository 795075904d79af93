import type { Catalog } from '../catalog'
import { numbers, textColumn, type Table, type TextColumn } from '../tables'
import { listingsAnswering } from './answering'
import { facets, facetValues, inFacetOrder, type FacetName } from './facets'
import { isSameGoods, type OwnMatch } from '../own'
import { firstInOrder, inOrder } from './in-order'
import { measure, type Measure } from './measures'
import { binOf, bins, usualStrips } from './strips'
import { listingsOfStores } from './listings-of-stores'
import { emptyQuery, type Answer, type FacetCount, type Query, type Span } from './query'
import { extraBit, Screen } from './screen'
import { sortedPlaces, type Sorted } from './sorted-places'
import { fold, TextSearch } from './text-search'

/** Item → what of the seller's own goods it is or may be; null where no catalogue is known. */
export type OwnItems = ReadonlyMap<number, OwnMatch> | null

export interface FinderOptions {
  /** measures that have a strip */
  strips?: readonly string[]
  isSeen?: ((item: number) => boolean) | null
}

/** rows up to which the first of an order are found without putting all in order */
const mostUnsorted = 64

/** Answers queries over the figures of all items; what a query shares with the one before is not worked out again. */
export class Finder {
  /** names of the measures that have a strip, in order */
  readonly strips: readonly string[]
  readonly #strips: readonly Measure[]
  readonly #figures: Table
  readonly #catalog: () => Pick<Catalog, 'listings' | 'itemOf'>
  #search: TextSearch | null = null
  readonly #screen: Screen
  readonly #facets: Record<FacetName, TextColumn>
  /** those of which anything is known: the others are not counted, row by row, for nothing */
  readonly #counted: readonly FacetName[]
  readonly #allBins: number[][]
  readonly #sorted = new Map<string, Sorted>()
  #asked: Query = emptyQuery
  #hidden = ''
  #unmet = false
  #own: OwnItems = null
  #walk: { order: Iterator<number>; found: number[] } | null = null
  /** of each counted facet and code whether any item that can be found has it; null where all do */
  #met: Uint8Array[] | null = null
  /** items that can be found at all */
  readonly #total: number

  /**
   * @param catalog asked for only when words are looked for, so that a workspace opens without its texts; listings that do not count have
   * item -1
   * @param options.isSeen whether anything of an item counts (default: of all)
   */
  constructor(
    catalog: () => Pick<Catalog, 'listings' | 'itemOf'>,
    figures: Table,
    { strips = usualStrips, isSeen = null }: FinderOptions = {},
  ) {
    this.strips = strips
    this.#strips = strips.map(measure)
    this.#figures = figures
    this.#catalog = catalog
    this.#facets = Object.fromEntries(facets.map((f) => [f, textColumn(figures, f)])) as Record<FacetName, TextColumn>
    this.#counted = facets.filter((f) => this.#facets[f].words.length > 0)
    this.#screen = new Screen(
      figures.rows,
      this.#strips.map((m) => ({
        values: numbers(figures, m.name),
        binOf: (v) => (Number.isNaN(v) ? bins : binOf(m, v)),
      })),
      bins,
      this.#counted.map((f) => this.#facets[f].codes),
      this.#counted.map((f) => this.#facets[f].words.length),
    )
    this.#total = isSeen === null ? figures.rows : this.#leaveOut(isSeen)
    this.#allBins = this.#passing()
  }

  /** @returns how many items are left */
  #leaveOut(isSeen: (item: number) => boolean): number {
    let left = 0
    this.#met = this.#counted.map((f) => new Uint8Array(this.#facets[f].words.length))
    const codes = this.#counted.map((f) => this.#facets[f].codes)
    this.#screen.setFails(extraBit.unseen, (item) => {
      if (!isSeen(item)) return true
      left++
      codes.forEach((of, f) => ((this.#met as Uint8Array[])[f]![of[item] as number] = 1))
      return false
    })
    return left
  }

  get rows(): number {
    return this.#figures.rows
  }

  /** Work that makes later answers quicker, in small parts; false when there is none left. */
  *prepare(): Generator<void> {
    for (let s = 0; s < this.#strips.length; s++) {
      this.#screen.prepare(s)
      yield
    }
    this.#sortedBy(measure(this.#asked.sort.by).name)
    yield
  }

  /**
   * @param hidden items that are left out whatever the limits say: those that were dropped
   * @param own item → what of the seller's own goods it is; without it nothing is known to be
   */
  ask(query: Query, hidden: readonly number[] = [], own: OwnItems = null): Answer {
    this.#narrow(query, hidden)
    this.#limitOwn(query.own, own)
    const { matching, returning, passing } = this.#screen.counts()
    const width = bins + 1
    const bars = this.#passing()
    return {
      total: this.#total,
      matching,
      strips: this.#strips.map((m, s) => ({
        measure: m.name,
        all: this.#allBins[s] as number[],
        passing: bars[s] as number[],
        wouldReturn: returning[s] as number,
        unknown: passing[s * width + bins] as number,
      })),
      facets: Object.fromEntries(facets.map((f) => [f, this.#facetCounts(f)])) as Answer['facets'],
    }
  }

  /** Whether an item is among those that match the last query. */
  isFound(place: number): boolean {
    return this.#screen.mask[place] === 0
  }

  /** Items that match the last query, in its order: those from place `from` on. */
  places(from: number, count: number): Int32Array {
    const { by, descending } = this.#asked.sort
    const name = measure(by).name
    if (from === 0 && count <= mostUnsorted && !this.#sorted.has(name))
      return firstInOrder(this.#screen.mask, numbers(this.#figures, name), descending, count)
    this.#walk ??= { order: inOrder(this.#screen.mask, this.#sortedBy(name), descending), found: [] }
    const { order, found } = this.#walk
    while (found.length < from + count) {
      const next = order.next()
      if (next.done) break
      found.push(next.value)
    }
    return Int32Array.from(found.slice(from, from + count))
  }

  #sortedBy(name: string): Sorted {
    const sorted = this.#sorted.get(name) ?? sortedPlaces(numbers(this.#figures, name))
    this.#sorted.set(name, sorted)
    return sorted
  }

  #narrow(query: Query, hidden: readonly number[]): void {
    const before = this.#asked
    const changed = (a: unknown, b: unknown) => JSON.stringify(a) !== JSON.stringify(b)
    this.#strips.forEach((m, s) => {
      const span = query.limits[m.name] ?? null
      if (changed(span, before.limits[m.name] ?? null)) this.#screen.setSpan(s, span && closed(span))
    })
    const others = this.#otherLimits(query)
    if (changed(others, this.#otherLimits(before))) {
      const tests = others.map(([name, span]) => ({ values: numbers(this.#figures, name), span: closed(span) }))
      this.#screen.setFails(extraBit.others, (i) =>
        tests.some(({ values, span }) => !((values[i] as number) >= span[0] && (values[i] as number) <= span[1])),
      )
    }
    if (changed(query.words, before.words)) this.#require(extraBit.words, this.itemsWith(query.words))
    if (changed(query.stores, before.stores)) this.#require(extraBit.stores, this.#itemsOfStores(query.stores))
    if (changed(query.phrase, before.phrase)) this.#require(extraBit.phrase, this.#itemsAnswering(query.phrase))
    this.#counted.forEach((f, at) => {
      if (changed(query[f], before[f])) this.#screen.setAllowed(at, this.#allowed(f, query[f]))
    })
    // Something is asked for of which nothing is known: nothing has it.
    const unmet = facets.some((f) => query[f].length > 0 && !this.#counted.includes(f))
    if (unmet !== this.#unmet) this.#screen.setFails(extraBit.unknownFacet, () => unmet)
    this.#unmet = unmet
    const hide = hidden.join()
    if (hide !== this.#hidden) {
      const set = new Set(hidden)
      this.#screen.setFails(extraBit.hidden, (i) => set.has(i))
    }
    this.#hidden = hide
    this.#asked = { ...structuredClone(query), own: before.own }
    this.#walk = null
  }

  #limitOwn(wanted: Query['own'], own: OwnItems): void {
    if (wanted === this.#asked.own && (wanted === 'any' || own === this.#own)) return
    const fails = {
      any: () => false,
      mine: (item: number) => !isSameGoods(own?.get(item)?.way ?? 'likely'),
      others: (item: number) => own?.has(item) === true,
    }
    this.#screen.setFails(extraBit.own, fails[wanted])
    this.#asked = { ...this.#asked, own: wanted }
    this.#own = own
  }

  /** 1 for each item where every word stands somewhere in its listings, in any of their texts; null where no word is asked for. */
  itemsWith(text: string): Uint8Array | null {
    const words = fold(text)
      .split(/\s+/)
      .filter((w) => w !== '')
    if (words.length === 0) return null
    const { itemOf } = this.#catalog()
    const met = new Uint8Array(this.rows)
    words.forEach((word, nth) => {
      const hits = this.search.rowsWith(word)
      for (let l = 0; l < hits.length; l++) {
        const item = itemOf[l] as number
        if (hits[l] === 1 && met[item] === nth) met[item] = nth + 1
      }
    })
    return met.map((n) => (n === words.length ? 1 : 0))
  }

  #otherLimits(query: Query): [string, Span][] {
    return Object.entries(query.limits).filter(([name]) => !this.strips.includes(name))
  }

  #require(bit: number, met: Uint8Array | null): void {
    this.#screen.setFails(bit, (i) => met !== null && met[i] === 0)
  }

  #itemsOfStores(stores: readonly string[]): Uint8Array | null {
    if (stores.length === 0) return null
    const { listings, itemOf } = this.#catalog()
    return this.#itemsOf(listingsOfStores(listings, stores), itemOf)
  }

  #itemsAnswering(phrase: string): Uint8Array | null {
    if (phrase.trim() === '') return null
    const { itemOf } = this.#catalog()
    return this.#itemsOf(listingsAnswering(this.#catalog(), this.search, phrase), itemOf)
  }

  #itemsOf(rows: Iterable<number>, itemOf: Int32Array): Uint8Array {
    const met = new Uint8Array(this.rows)
    for (const row of rows) met[itemOf[row] as number] = 1
    return met
  }

  /** The search in the texts of all listings. */
  get search(): TextSearch {
    return (this.#search ??= new TextSearch(this.#catalog().listings, ['title', 'store', 'tags', 'category']))
  }

  #allowed(facet: FacetName, wanted: readonly string[]): Uint8Array | null {
    if (wanted.length === 0) return null
    const { words } = this.#facets[facet]
    return Uint8Array.from({ length: words.length }, (_, code) =>
      facetValues(facet, words.at(code) ?? '').some((v) => wanted.includes(v)) ? 1 : 0,
    )
  }

  #passing(): number[][] {
    const { passing } = this.#screen.counts()
    return this.#strips.map((_, s) => [...passing.subarray(s * (bins + 1), s * (bins + 1) + bins)])
  }

  #facetCounts(facet: FacetName): FacetCount[] {
    const counts = new Map<string, number>()
    const { words } = this.#facets[facet]
    const at = this.#counted.indexOf(facet)
    const met = this.#met?.[at]
    this.#screen.counts().facets[at]?.forEach((n, code) => {
      if (met?.[code] === 0) return
      for (const v of facetValues(facet, words.at(code) ?? '')) counts.set(v, (counts.get(v) ?? 0) + n)
    })
    return [...counts].map(([value, n]) => ({ value, count: n })).sort(inFacetOrder(facet))
  }
}

function closed([low, high]: Span): [number, number] {
  return [low ?? -Infinity, high ?? Infinity]
}
