import type { FacetCount, Span } from '../engine'
import { storeFacets, storeFacetValues, type StoreFacet } from './store-facets'
import type { StoreList } from './store-list'

/** Which stores are worth a study: enough sales in few enough months. Young stores with many sales teach most, as their sales belong to what they list now. */
export interface StoreCriteria {
  /** units since it opened, at the least */
  leastSales: number
  /** months since it opened, at the most */
  mostMonths: number
}

/** 10,000 sales within three years (common practice, no source). */
export const usualCriteria: StoreCriteria = { leastSales: 10_000, mostMonths: 36 }

/** What is asked of all stores: plain data, which can be kept and shared as a Cut of stores. */
export interface StoreQuery extends Record<StoreFacet, string[]> {
  criteria: StoreCriteria
  /** whether only stores that meet the criteria are listed */
  meetsOnly: boolean
  /** every word must stand in the name */
  words: string
  /** names of stores, as they were pasted in; empty: all */
  names: string[]
  /** 'age' or the name of a figure → its span */
  limits: Record<string, Span>
  sort: { by: string; descending: boolean }
}

export const emptyStoreQuery: StoreQuery = {
  ...(Object.fromEntries(storeFacets.map(({ name }) => [name, []])) as unknown as Record<StoreFacet, string[]>),
  criteria: usualCriteria,
  meetsOnly: false,
  words: '',
  names: [],
  limits: {},
  sort: { by: 'unitsTotal', descending: true },
}

/** A store of which age or sales are not known neither meets the criteria nor fails them: it does not meet them. */
export function meets(list: StoreList, store: number, { leastSales, mostMonths }: StoreCriteria): boolean {
  return (list.figures.unitsTotal?.[store] as number) >= leastSales && (list.age[store] as number) <= mostMonths
}

/** What a name is found by: case and spaces do not count. */
export const foldedName = (name: string) => name.toLowerCase().replace(/\s+/g, ' ').trim()

const valuesOf = (list: StoreList, by: string): Float64Array => {
  const values = by === 'age' ? list.age : list.figures[by]
  if (!values) throw new RangeError(`stores have no figure ${by}`)
  return values
}

export interface StoreAnswer {
  /** places of the stores that pass, in the order that was asked for */
  found: Int32Array
  /** of each value how many stores there are if it were (also) chosen, under all other limits */
  facets: Record<StoreFacet, FacetCount[]>
}

/**
 * Answers questions over a list of stores; orders and folded names are made once.
 *
 * @throws RangeError for a figure that stores do not have
 */
export class StoreFinder {
  readonly list: StoreList
  /** how many stores there are on the markets that count */
  readonly count: number
  readonly #counts: Uint8Array | null
  readonly #orders = new Map<string, Int32Array>()
  #names: string[] | null = null

  /** @param markets those that alone count; none named is all */
  constructor(list: StoreList, markets: readonly string[] = []) {
    this.list = list
    this.#counts = markets.length === 0 ? null : Uint8Array.from(list.markets, (m) => Number(markets.includes(m)))
    this.count = this.#counts?.reduce((n, counts) => n + counts, 0) ?? list.count
  }

  /** Whether a store is on a market that counts. */
  isCounted(store: number): boolean {
    return this.#counts === null || this.#counts[store] === 1
  }

  /**
   * Which stores pass, in order; those of which the figure is not known come last.
   *
   * @param selling of each store how many of its listings are among those that are looked for; those with none do not pass
   */
  ask(query: StoreQuery, selling: ArrayLike<number> | null = null): StoreAnswer {
    const { list } = this
    const fails = new Uint8Array(list.count)
    const passes = plainTest(list, query, selling, () => this.#folded())
    for (let store = 0; store < list.count; store++) if (!this.isCounted(store) || !passes(store)) fails[store] = 255
    // how many facets each fails, and the last of them: one that fails a single facet counts there alone
    const last = new Int8Array(list.count)
    const allowed = storeFacets.map(({ name }) => allowedCodes(list, name, query[name]))
    allowed.forEach((set, f) => {
      if (set === null) return
      const { codes } = list.facets[(storeFacets[f] as (typeof storeFacets)[number]).name]
      for (let store = 0; store < list.count; store++) {
        if (fails[store] === 255 || set[codes[store] as number] === 1) continue
        fails[store]!++
        last[store] = f
      }
    })
    const facets = storeFacets.map(({ name }, f) => {
      const { codes, words } = list.facets[name]
      const counts = new Int32Array(words.length)
      for (let store = 0; store < list.count; store++) {
        const code = codes[store] as number
        const failed = fails[store] as number
        if (code >= 0 && (failed === 0 || (failed === 1 && last[store] === f))) counts[code]!++
      }
      return [name, countsOf(list, name, counts)] as const
    })
    return {
      found: this.#order(query.sort, selling).filter((store) => fails[store] === 0),
      facets: Object.fromEntries(facets) as StoreAnswer['facets'],
    }
  }

  #folded(): string[] {
    return (this.#names ??= this.list.names.map(foldedName))
  }

  /** All stores in an order. */
  #order({ by, descending }: StoreQuery['sort'], selling: ArrayLike<number> | null): Int32Array {
    if (by === 'selling') return orderOf(this.list, { by, descending }, selling)
    const key = `${by} ${descending}`
    const known = this.#orders.get(key) ?? orderOf(this.list, { by, descending }, null)
    this.#orders.set(key, known)
    return known
  }
}

/** One question, of which no second one follows. */
export const askStores = (list: StoreList, query: StoreQuery, selling: ArrayLike<number> | null = null): StoreAnswer =>
  new StoreFinder(list).ask(query, selling)

/** Every limit but the facets. */
function plainTest(
  list: StoreList,
  query: StoreQuery,
  selling: ArrayLike<number> | null,
  names: () => string[],
): (store: number) => boolean {
  const { criteria, meetsOnly, words, limits } = query
  const wanted = words
    .toLowerCase()
    .split(/\s+/)
    .filter((w) => w !== '')
  const named = query.names.length === 0 ? null : new Set(query.names.map(foldedName))
  const folded = wanted.length === 0 && named === null ? [] : names()
  const spans = Object.entries(limits).map(
    ([by, [low, high]]) => [valuesOf(list, by), low ?? -Infinity, high ?? Infinity] as const,
  )
  return (store) => {
    if (selling !== null && !((selling[store] as number) > 0)) return false
    if (meetsOnly && !meets(list, store, criteria)) return false
    if (!spans.every(([values, low, high]) => (values[store] as number) >= low && (values[store] as number) <= high))
      return false
    if (wanted.length === 0 && named === null) return true
    const name = folded[store] as string
    return wanted.every((w) => name.includes(w)) && (named === null || named.has(name))
  }
}

function allowedCodes(list: StoreList, facet: StoreFacet, wanted: readonly string[]): Uint8Array | null {
  if (wanted.length === 0) return null
  return Uint8Array.from(list.facets[facet].words, (word) =>
    storeFacetValues(facet, word).some((v) => wanted.includes(v)) ? 1 : 0,
  )
}

function countsOf(list: StoreList, facet: StoreFacet, counts: Int32Array): FacetCount[] {
  const sums = new Map<string, number>()
  list.facets[facet].words.forEach((word, code) => {
    for (const v of storeFacetValues(facet, word)) sums.set(v, (sums.get(v) ?? 0) + (counts[code] as number))
  })
  return [...sums].map(([value, count]) => ({ value, count })).sort((a, b) => (a.value < b.value ? -1 : 1))
}

function orderOf(
  list: StoreList,
  { by, descending }: StoreQuery['sort'],
  selling: ArrayLike<number> | null,
): Int32Array {
  const places = Int32Array.from({ length: list.count }, (_, store) => store)
  if (by === 'name') {
    const compare = new Intl.Collator('en').compare
    const sign = descending ? -1 : 1
    return places.sort((a, b) => sign * compare(list.names[a] as string, list.names[b] as string))
  }
  const values = by === 'selling' ? (selling ?? new Float64Array(list.count)) : valuesOf(list, by)
  const sign = descending ? 1 : -1
  const ranks = Float64Array.from(places, (store) => {
    const value = values[store] as number
    return Number.isNaN(value) ? -Infinity : sign * value
  })
  return places.sort((a, b) => (ranks[b] as number) - (ranks[a] as number) || a - b)
}

/** Names that were pasted in, one a line or parted by tabs or semicolons, each once. */
export function pastedNames(text: string): string[] {
  const names = text
    .split(/[\r\n\t;]+/)
    .map((n) =>
      n
        .replace(/^\s*(?:[-*•–]|\d{1,4}[.)])\s+/, '')
        .replace(/\s+/g, ' ')
        .trim(),
    )
    .filter((n) => n !== '')
  return [...new Map(names.map((n) => [foldedName(n), n])).values()].slice(0, 1000)
}

/** Which of some names no store has. */
export function namesNotFound(list: StoreList, names: readonly string[]): string[] {
  const known = new Set(list.names.map(foldedName))
  return names.filter((n) => !known.has(foldedName(n)))
}
