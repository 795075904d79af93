import { buildCatalog, ItemMaker, type Corrections, type Item, type SellerRules } from '@sickle/core/catalog'
import {
  Finder,
  findRow,
  makeFigures,
  movers,
  renewFiguresInPlace,
  type FindRow,
  type Query,
} from '@sickle/core/engine'
import type { Capture } from '@sickle/core/intake'
import { findRate } from '@sickle/core/money'
import { textColumn, type Table } from '@sickle/core/tables'
import { openDatabase } from '../storage/database'
import { listImports, loadCaptures } from '../storage/imports'
import { readSnapshot, snapshotPrint, writeSnapshot } from '../storage/snapshot'
import { serve, type CallContext } from './channel'
import { changedItems } from './changed-items'

/** What is worked out, and can be asked. */
interface Bench {
  maker: ItemMaker
  figures: Table
  finder: Finder
  /** rows made so far, by place: most of those on the screen stay there when a limit moves */
  rows: Map<number, FindRow>
}
const mostRows = 2000

let captures = new Map<string, Capture[]>()
let bench: Bench | null = null

const pause = () => new Promise<void>((resolve) => setTimeout(resolve))

function take(maker: ItemMaker, figures: Table) {
  bench = { maker, figures, finder: new Finder(maker.catalog, figures), rows: new Map() }
  prepareLater(bench.finder)
  const { listings, windowEnds, offers } = maker.catalog
  return {
    items: maker.count,
    listings: listings.rows,
    offers: offers.length,
    markets: Object.keys(windowEnds).sort(),
    noRate: withoutRate(maker),
  }
}

/** Currencies of listings that cannot be turned into the home currency. */
function withoutRate({ catalog, rules }: ItemMaker): string[] {
  const { words } = textColumn(catalog.listings, 'currency')
  const codes = Array.from({ length: words.length }, (_, i) => words.at(i) ?? '')
  return codes.filter((c) => findRate(c, rules.homeCurrency, rules.rates) === null).sort()
}

/** Readies the finder for quick moves while nothing is asked. */
function prepareLater(finder: Finder): void {
  const work = finder.prepare()
  const step = () => {
    if (bench?.finder === finder && !work.next().done) setTimeout(step, 30)
  }
  setTimeout(step, 300)
}

function rowsAt(from: number, count: number) {
  if (!bench) return []
  const { maker, finder, rows } = bench
  if (rows.size > mostRows) rows.clear()
  return [...finder.places(from, count)].map((at) => {
    const row = rows.get(at) ?? findRow(maker.at(at, false))
    rows.set(at, row)
    return row
  })
}

function itemOf(key: string): Item | null {
  const place = bench?.maker.find(key) ?? null
  return place === null || !bench ? null : bench.maker.at(place)
}

function placesOf(keys: readonly string[]): number[] {
  return keys.flatMap((key) => bench?.maker.find(key) ?? [])
}

let writing: ReturnType<typeof setTimeout> | undefined

/** Keeps what was worked out once changes rest. */
function keepLater(print: string): void {
  clearTimeout(writing)
  writing = setTimeout(() => {
    if (!bench) return
    const { maker, figures } = bench
    void openDatabase().then((db) =>
      writeSnapshot(db, print, { catalog: maker.catalog, figures }).finally(() => db.close()),
    )
  }, 1500)
}

const methods = {
  /** Reads what is new at rest, forgets what was removed, and works everything out, or takes up what was worked out last. */
  async load({ progress, signal }: CallContext, rules: SellerRules, corrections: Corrections) {
    const db = await openDatabase()
    try {
      const entries = await listImports(db)
      const print = snapshotPrint(entries, rules, corrections)
      const kept = bench ? null : await readSnapshot(db, print)
      if (kept) return take(new ItemMaker(kept.catalog, rules, corrections), kept.figures)
      const next = new Map<string, Capture[]>()
      for (const entry of entries) next.set(entry.id, captures.get(entry.id) ?? (await loadCaptures(db, entry)))
      captures = next
      const part = (from: number, share: number) => ({
        signal,
        pause,
        onProgress: (done: number) => progress(from + share * done),
      })
      const maker = new ItemMaker(await buildCatalog([...captures.values()].flat(), part(0, 0.6)), rules, corrections)
      const figures = await makeFigures(maker, part(0.6, 0.4))
      keepLater(print)
      return take(maker, figures)
    } finally {
      db.close()
    }
  },

  /** Works out only what depends on rules and corrections; after a correction only the items it touches. */
  async reprice({ progress, signal }: CallContext, rules: SellerRules, corrections: Corrections) {
    const db = await openDatabase()
    const print = snapshotPrint(await listImports(db), rules, corrections)
    db.close()
    if (!bench) throw new Error('nothing is loaded yet')
    const { maker: before, figures } = bench
    const maker = new ItemMaker(before.catalog, rules, corrections)
    const changed = changedItems(before, maker)
    const copy: Table = {
      rows: figures.rows,
      columns: Object.fromEntries(
        Object.entries(figures.columns).map(([name, c]) => [
          name,
          c.type === 'number' ? { ...c, values: c.values.slice() } : c,
        ]),
      ),
    }
    const every = { *[Symbol.iterator]() { for (let i = 0; i < maker.count; i++) yield i } } // prettier-ignore
    await renewFiguresInPlace(copy, maker, changed ?? every, {
      signal,
      pause,
      onProgress: progress,
      of: changed?.length ?? maker.count,
    })
    keepLater(print)
    return take(maker, copy)
  },

  ask(_: CallContext, query: Query, hidden: string[], from: number, count: number) {
    if (!bench) throw new Error('nothing is loaded yet')
    return { ...bench.finder.ask(query, placesOf(hidden)), from, rows: rowsAt(from, count) }
  },

  /** More rows of the last answer. */
  page: (_: CallContext, from: number, count: number) => rowsAt(from, count),

  /** How many items each Cut would leave. */
  counts(_: CallContext, queries: Query[], hidden: string[]) {
    if (!bench) return queries.map(() => 0)
    const counter = new Finder(bench.maker.catalog, bench.figures)
    const places = placesOf(hidden)
    return queries.map((q) => counter.ask(q, places).matching)
  },

  /** Items that move most, as rows. */
  movers(_: CallContext, most: number) {
    if (!bench) return { rising: [], fading: [] }
    const { maker, figures } = bench
    const found = movers(figures, most)
    const rows = (list: typeof found.rising) => list.map(({ place }) => findRow(maker.at(place, false)))
    return { rising: rows(found.rising), fading: rows(found.fading) }
  },

  item: (_: CallContext, key: string) => itemOf(key),

  rows: (_: CallContext, keys: string[]) =>
    keys.map((key) => ({ key, item: itemOf(key) })).map(({ key, item }) => ({ key, row: item && findRow(item) })),

  items: (_: CallContext, keys: string[]) => keys.flatMap((key) => itemOf(key) ?? []),
}

export type EngineMethods = typeof methods

serve(self, methods)
