import type { Item } from '../catalog'
import { binOf, bins, measure, measures, strips } from './measures'
import type { Answer, FacetCount, Query, Span } from './query'

/** Bits of the mask that say which limits a row fails: one a strip, then words, market, category, stage, kind and all other measures. */
const bit = {
  words: 1 << 16,
  markets: 1 << 17,
  categories: 1 << 18,
  stages: 1 << 19,
  kinds: 1 << 20,
  others: 1 << 21,
  hidden: 1 << 22,
}

/**
 * Answers queries over items. Each row keeps a mask of the limits it fails; when one limit moves only its bit is worked out
 * anew, and counts under 'all other limits' are read off the mask.
 */
export class Finder {
  readonly #items: readonly Item[]
  readonly #columns: Map<string, Float64Array>
  readonly #binned: Int8Array[]
  readonly #allBins: number[][]
  readonly #haystacks: string[]
  readonly #mask: Uint32Array
  #asked: Query | null = null

  constructor(items: readonly Item[]) {
    this.#items = items
    this.#mask = new Uint32Array(items.length)
    this.#columns = new Map(measures.map((m) => [m.name, Float64Array.from(items, (i) => m.of(i) ?? NaN)]))
    this.#binned = strips.map((m) => Int8Array.from(this.column(m.name), (v) => binOf(m, v)))
    this.#allBins = this.#binned.map((binned) => countBins(binned, () => true))
    this.#haystacks = items.map((i) =>
      fold([i.category ?? '', ...i.listings.map((l) => `${l.title} ${l.store ?? ''} ${l.tags ?? ''}`)].join(' ')),
    )
  }

  column(name: string): Float64Array {
    return this.#columns.get(name) ?? new Float64Array(this.#items.length).fill(NaN)
  }

  /** @param hidden keys of items that are left out whatever the limits say: those that were dropped */
  ask(query: Query, hidden: ReadonlySet<string> = new Set()): Answer {
    this.#update(query)
    this.#setBit(bit.hidden, (i) => hidden.size > 0 && hidden.has((this.#items[i] as Item).key))
    const mask = this.#mask
    const passing: number[] = []
    for (let i = 0; i < mask.length; i++) if (mask[i] === 0) passing.push(i)
    return {
      total: mask.length,
      matching: passing.length,
      order: this.#sorted(passing, query),
      strips: strips.map((m, s) => ({
        measure: m.name,
        all: this.#allBins[s] as number[],
        passing: countBins(this.#binned[s] as Int8Array, (i) => ((mask[i] as number) & ~(1 << s)) === 0),
        wouldReturn: count(mask, (f) => f === 1 << s),
        unknown: count(mask, (f, i) => (f & ~(1 << s)) === 0 && this.#binned[s]?.[i] === -1),
      })),
      markets: this.#facet(bit.markets, (i) => i.markets),
      categories: this.#facet(bit.categories, (i) => branches(i.category)),
      stages: this.#facet(bit.stages, (i) => [i.stage]),
      kinds: this.#facet(bit.kinds, (i) => [i.kind]),
    }
  }

  #update(query: Query): void {
    const before = this.#asked
    const changed = (a: unknown, b: unknown) => before === null || JSON.stringify(a) !== JSON.stringify(b)
    strips.forEach((m, s) => {
      const span = query.limits[m.name] ?? null
      if (changed(span, before?.limits[m.name] ?? null)) this.#setBit(1 << s, outside(this.column(m.name), span))
    })
    const others = Object.entries(query.limits).filter(([name]) => !strips.some((m) => m.name === name))
    const othersBefore = Object.entries(before?.limits ?? {}).filter(([name]) => !strips.some((m) => m.name === name))
    if (changed(others, othersBefore)) {
      const tests = others.map(([name, span]) => outside(this.column(name), span))
      this.#setBit(bit.others, (i) => tests.some((test) => test(i)))
    }
    if (changed(query.words, before?.words)) {
      const words = fold(query.words)
        .split(/\s+/)
        .filter((w) => w !== '')
      this.#setBit(bit.words, (i) => !words.every((w) => (this.#haystacks[i] as string).includes(w)))
    }
    const set = (name: 'markets' | 'categories' | 'stages' | 'kinds', values: (i: Item) => string[]) => {
      if (!changed(query[name], before?.[name])) return
      const wanted = new Set(query[name])
      this.#setBit(bit[name], (i) => wanted.size > 0 && !values(this.#items[i] as Item).some((v) => wanted.has(v)))
    }
    set('markets', (i) => i.markets)
    set('categories', (i) => branches(i.category))
    set('stages', (i) => [i.stage])
    set('kinds', (i) => [i.kind])
    this.#asked = structuredClone(query)
  }

  #setBit(which: number, fails: (i: number) => boolean): void {
    const mask = this.#mask
    for (let i = 0; i < mask.length; i++)
      mask[i] = fails(i) ? (mask[i] as number) | which : (mask[i] as number) & ~which
  }

  /** Unknown values last, whichever way it is sorted; ties by title, so that the order never jumps. */
  #sorted(places: number[], { sort }: Query): Int32Array {
    const column = this.column(measure(sort.by).name)
    const sign = sort.descending ? -1 : 1
    const title = (i: number) => (this.#items[i] as Item).title
    return Int32Array.from(
      places.sort((a, b) => {
        const [x, y] = [column[a] as number, column[b] as number]
        if (Number.isNaN(x) || Number.isNaN(y)) {
          if (Number.isNaN(x) !== Number.isNaN(y)) return Number.isNaN(x) ? 1 : -1
        } else if (x !== y) return sign * (x - y)
        return title(a) < title(b) ? -1 : title(a) > title(b) ? 1 : a - b
      }),
    )
  }

  #facet(which: number, values: (item: Item) => string[]): FacetCount[] {
    const counts = new Map<string, number>()
    this.#items.forEach((item, i) => {
      const open = ((this.#mask[i] as number) & ~which) === 0
      for (const v of values(item)) counts.set(v, (counts.get(v) ?? 0) + (open ? 1 : 0))
    })
    return [...counts].map(([value, n]) => ({ value, count: n })).sort((a, b) => (a.value < b.value ? -1 : 1))
  }
}

/** 'Garden / Birds' → ['Garden', 'Garden / Birds'] */
export function branches(path: string | null): string[] {
  if (path === null) return []
  const parts = path.split(' / ')
  return parts.map((_, i) => parts.slice(0, i + 1).join(' / '))
}

function outside(column: Float64Array, span: Span | null): (i: number) => boolean {
  if (!span) return () => false
  const [low, high] = [span[0] ?? -Infinity, span[1] ?? Infinity]
  // An unknown value (NaN) is inside no span.
  return (i) => !((column[i] as number) >= low && (column[i] as number) <= high)
}

function countBins(binned: Int8Array, test: (i: number) => boolean): number[] {
  const counts = new Array<number>(bins).fill(0)
  for (let i = 0; i < binned.length; i++) {
    const b = binned[i] as number
    if (b >= 0 && test(i)) counts[b] = (counts[b] as number) + 1
  }
  return counts
}

function count(mask: Uint32Array, test: (failed: number, i: number) => boolean): number {
  let n = 0
  for (let i = 0; i < mask.length; i++) if (test(mask[i] as number, i)) n++
  return n
}

function fold(text: string): string {
  return text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase()
}
