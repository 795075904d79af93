import {
  buildCatalog,
  repriceCatalog,
  type Catalog,
  type Corrections,
  type Item,
  type SellerRules,
} from '@sickle/core/catalog'
import { findRow, Finder, type Query } from '@sickle/core/engine'
import type { Capture } from '@sickle/core/intake'
import { openDatabase } from '../storage/database'
import { listImports, loadCapture } from '../storage/imports'
import { readSnapshot, snapshotPrint, writeSnapshot } from '../storage/snapshot'
import { serve, type CallContext } from './channel'

let captures = new Map<string, Capture>()
let catalog: Catalog = { items: [], offers: [], placeOf: new Map(), listings: 0 }
let finder = new Finder([])
let order: Int32Array = new Int32Array(0)

function take(next: Catalog) {
  catalog = next
  finder = new Finder(catalog.items)
  const markets = [...new Set(catalog.items.flatMap((i) => i.markets))].sort()
  return { items: catalog.items.length, listings: catalog.listings, offers: catalog.offers.length, markets }
}

function rowsAt(from: number, count: number) {
  return [...order.subarray(from, from + count)].map((at) => findRow(catalog.items[at] as Item))
}

function itemOf(key: string): Item | null {
  const place = catalog.placeOf.get(key)
  return place === undefined ? null : (catalog.items[place] ?? null)
}

let writing: ReturnType<typeof setTimeout> | undefined

/** Keeps the newest catalogue once changes rest. */
function keepLater(print: string, built: Catalog): void {
  clearTimeout(writing)
  writing = setTimeout(() => {
    void openDatabase().then((db) => writeSnapshot(db, print, built).finally(() => db.close()))
  }, 1500)
}

const methods = {
  /** Reads what is new at rest, forgets what was removed, and works everything out, or takes up what was worked out last. */
  async load({ progress }: CallContext, rules: SellerRules, corrections: Corrections) {
    const db = await openDatabase()
    const entries = await listImports(db)
    const print = snapshotPrint(entries, rules, corrections)
    const kept = catalog.items.length === 0 ? await readSnapshot(db, print) : null
    if (!kept) {
      const next = new Map<string, Capture>()
      for (const entry of entries) next.set(entry.id, captures.get(entry.id) ?? (await loadCapture(db, entry)))
      captures = next
    }
    db.close()
    const built = kept ?? buildCatalog([...captures.values()], rules, corrections, { onProgress: progress })
    if (!kept) keepLater(print, built)
    return take(built)
  },

  /** Works out only what depends on rules and corrections. */
  async reprice(_: CallContext, rules: SellerRules, corrections: Corrections) {
    const built = repriceCatalog(catalog, rules, corrections)
    const db = await openDatabase()
    keepLater(snapshotPrint(await listImports(db), rules, corrections), built)
    db.close()
    return take(built)
  },

  ask(_: CallContext, query: Query, hidden: string[], from: number, count: number) {
    const { order: found, ...answer } = finder.ask(query, new Set(hidden))
    order = found
    return { ...answer, from, rows: rowsAt(from, count) }
  },

  /** More rows of the last answer. */
  page: (_: CallContext, from: number, count: number) => rowsAt(from, count),

  /** How many items each Cut would leave. */
  counts(_: CallContext, queries: Query[], hidden: string[]) {
    const counter = new Finder(catalog.items)
    return queries.map((q) => counter.ask(q, new Set(hidden)).matching)
  },

  item: (_: CallContext, key: string) => itemOf(key),

  rows: (_: CallContext, keys: string[]) =>
    keys.map((key) => ({ key, item: itemOf(key) })).map(({ key, item }) => ({ key, row: item && findRow(item) })),

  items: (_: CallContext, keys: string[]) => keys.flatMap((key) => itemOf(key) ?? []),
}

export type EngineMethods = typeof methods

serve(self, methods)
