import { buildCatalog, ItemMaker, type Corrections, type Item, type SellerRules } from '@sickle/core/catalog'
import {
  emptyQuery,
  Finder,
  findRow,
  makeFigures,
  renewFiguresInPlace,
  seenColumns,
  type Query,
} from '@sickle/core/engine'
import type { ExportFormat } from '@sickle/core/exports'
import type { Capture } from '@sickle/core/records'
import type { Table } from '@sickle/core/tables'
import { openDatabase } from '../storage/database'
import { auditImport, listImports, loadSound } from '../storage/imports'
import { readSnapshot, snapshotPrint, writeSnapshot, type OpenedSnapshot } from '../storage/snapshot'
import { Bench, summaryOf, type Shown } from './bench'
import type { CallContext } from './channel'
import { changedItems } from './changed-items'
import { demandMethods } from './demand-methods'
import { lookMethods } from './look-methods'

let captures = new Map<string, Capture[]>()
/** imports that are set aside since they are not as they were kept, and what is wrong with them */
let spoilt = new Map<string, string>()
let bench: Bench | null = null

const pause = () => new Promise<void>((resolve) => setTimeout(resolve))

function take(figures: Table, maker: ItemMaker) {
  setBench(new Bench(figures, maker))
  return { ...summaryOf(maker), spoilt: Object.fromEntries(spoilt) }
}

function setBench(next: Bench): void {
  bench = next
  next.prepareLater(() => bench === next)
}

function loaded(): Bench {
  if (!bench) throw new Error('nothing is loaded yet')
  return bench
}

/** Takes up what was worked out last: the measures now, the catalogue while the first screen is looked at. */
function takeUp(kept: OpenedSnapshot, rules: SellerRules, corrections: Corrections, done: () => void) {
  const maker = kept.catalog().then((catalog) => new ItemMaker(catalog, rules, corrections))
  maker.finally(done).catch(() => undefined) // heard of by whatever waits for it
  setBench(new Bench(kept.figures, maker, kept.first))
  return { ...kept.first.summary, spoilt: Object.fromEntries(spoilt) }
}

let writing: ReturnType<typeof setTimeout> | undefined

/** Keeps what was worked out once changes rest. */
function keepLater(print: string): void {
  clearTimeout(writing)
  writing = setTimeout(() => void keep(print), 1500)
}

async function keep(print: string): Promise<void> {
  const now = loaded()
  const { catalog } = await now.maker
  const db = await openDatabase()
  await writeSnapshot(db, print, { catalog, figures: now.figures }, now.firstScreen()).finally(() => db.close())
}

const demand = demandMethods(loaded)
const look = lookMethods(loaded, demand.allTerms)

/** What the engine worker is asked for. */
export const engineMethods = {
  ...demand.methods,
  ...look.methods,

  /** Reads what is new at rest, forgets what was removed, and works everything out, or takes up what was worked out last. */
  async load({ progress, signal }: CallContext, rules: SellerRules, corrections: Corrections) {
    demand.forget()
    look.forget()
    const db = await openDatabase()
    const entries = await listImports(db)
    const print = snapshotPrint(entries, rules, corrections, spoilt)
    const kept = bench ? null : await readSnapshot(db, print)
    if (kept) return takeUp(kept, rules, corrections, () => db.close())
    try {
      const sound = await loadSound(db, entries, captures)
      captures = sound.captures
      spoilt = sound.spoilt
      const part = (from: number, share: number) => ({
        signal,
        pause,
        onProgress: (done: number) => progress(from + share * done),
      })
      const maker = new ItemMaker(
        await buildCatalog([...captures.values()].flat(), part(0, 0.6), corrections),
        rules,
        corrections,
      )
      const figures = await makeFigures(maker, part(0.6, 0.4))
      keepLater(snapshotPrint(entries, rules, corrections, spoilt))
      return take(figures, maker)
    } finally {
      db.close()
    }
  },

  /**
   * Whether all that rests is still as it was kept, since what was worked out last is no proof of it. Where it is not, nothing that was
   * worked out is used any more.
   *
   * @returns whether everything has to be loaded anew
   */
  async audit(): Promise<boolean> {
    const db = await openDatabase()
    try {
      const fits = await loaded().maker.then(
        () => true,
        () => false,
      )
      const found = new Map<string, string>()
      for (const entry of await listImports(db)) {
        // what was read in this session was looked at then
        const fault = captures.has(entry.id) ? null : await auditImport(db, entry)
        if (fault !== null) found.set(entry.id, fault)
      }
      const isNews = [...found.keys()].some((id) => !spoilt.has(id))
      if (fits && !isNews) return false
      for (const id of found.keys()) captures.delete(id)
      bench = null
      await db.clear('snapshots')
      return true
    } finally {
      db.close()
    }
  },

  /** Works out only what depends on rules and corrections; after a correction only the items it touches. */
  async reprice({ progress, signal }: CallContext, rules: SellerRules, corrections: Corrections) {
    const db = await openDatabase()
    const print = snapshotPrint(await listImports(db), rules, corrections, spoilt)
    db.close()
    const { maker: made, figures } = loaded()
    const before = await made
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
    return take(copy, maker)
  },

  ask: (_: CallContext, query: Query, hidden: string[], shown: Shown, count: number, looked: string | null) =>
    loaded().ask(query, hidden, shown, count, looked),

  /** More rows of the last answer. */
  page: (_: CallContext, from: number, count: number) => bench?.rowsAt(from, count) ?? [],

  /** How many items each Cut would leave. */
  async counts(_: CallContext, queries: Query[], hidden: string[]) {
    if (!bench) return queries.map(() => 0)
    const places = await bench.placesOf(hidden)
    const { catalog } = queries.some((q) => q.words !== '' || q.phrase || q.stores?.length)
      ? await bench.maker
      : { catalog: null }
    const counter = new Finder(() => {
      if (!catalog) throw new Error('the catalogue is not read yet')
      return catalog
    }, bench.figures)
    return queries.map((q) => counter.ask({ ...emptyQuery, ...q }, places).matching)
  },

  /** Keys of the items that a query leaves, in its order. */
  async keys(_: CallContext, query: Query, hidden: string[], most: number) {
    const maker = await loaded().maker
    const finder = new Finder(() => maker.catalog, loaded().figures)
    finder.ask({ ...emptyQuery, ...query }, await loaded().placesOf(hidden))
    return Array.from(finder.places(0, most), (at) => maker.keyAt(at))
  },

  /** What the last answer found, as a file with the columns that are seen. */
  async exportFinds({ progress, signal }: CallContext, columns: string[], format: ExportFormat) {
    const { figures, finder } = loaded()
    const maker = await loaded().maker
    const { writeExport } = await import('@sickle/core/exports')
    const places = finder.places(0, figures.rows)
    const seen = await seenColumns(places, columns, { figures, maker, signal, pause, onProgress: progress })
    return writeExport(format, seen, 'Finds')
  },

  /** Items that move most, as rows. */
  movers: (_: CallContext, most: number) => bench?.movers(most) ?? { rising: [], fading: [] },

  item: (_: CallContext, key: string) => itemOf(key),

  rows: (_: CallContext, keys: string[]) =>
    Promise.all(
      keys.map(async (key) => {
        const item = await itemOf(key)
        return { key, row: item && findRow(item) }
      }),
    ),

  items: async (_: CallContext, keys: string[]) => (await Promise.all(keys.map(itemOf))).filter((i) => i !== null),

  /** Items by the key that they were asked for with. */
  async itemsByKey(_: CallContext, keys: string[]) {
    const found = await Promise.all(keys.map(async (key) => [key, await itemOf(key)] as const))
    return new Map(found.flatMap(([key, item]) => (item ? [[key, item] as const] : [])))
  },
}

const itemOf = async (key: string): Promise<Item | null> => bench?.itemOf(key) ?? null

export type EngineMethods = typeof engineMethods
