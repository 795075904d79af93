import {
  buildCatalog,
  ItemMaker,
  rejoinCatalog,
  renewCatalog,
  type CatalogChange,
  type Gathered,
  type Corrections,
  type SellerRules,
  type WorkOptions,
} from '@sickle/core/catalog'
import { makeFigures, renewFigures } from '@sickle/core/engine'
import { stopIfCancelled } from '@sickle/core/problem'
import type { Capture, KindName } from '@sickle/core/records'
import { numberStores } from '@sickle/core/stores'
import { placesOf, type Table } from '@sickle/core/tables'
import { openDatabase } from '../storage/database'
import { listImports } from '../storage/imports'
import type { Database, ImportEntry } from '../storage/schema'
import { readSnapshot, snapshotPrint, writeSnapshot, type WorkedSummary } from '../storage/snapshot'
import type { CallContext } from './channel'
import { touchedInPlace } from './touched-items'
import { ItemEngine, summaryOf } from './item-engine'
import { pauseEvery } from './pause'
import { ReadCaptures } from './read-captures'
import { seldom } from './seldom'

/** By what figures are worked out, beside what was gathered. */
export interface Settled {
  rules: SellerRules
  corrections: Corrections
}

/** What is gathered, and what of it is set aside, by import. */
type Loaded = WorkedSummary & { spoilt: Record<string, string> }

/** One bringing up to date. */
interface Load {
  db: Database
  ledger: readonly ImportEntry[]
  settled: Settled
  context: CallContext
  onNews: () => void
}

/** quiet time after which what was worked out is kept, ms */
const restMs = 1500

const saidOf = ({ apart, together, unlearned, avoid }: Corrections) =>
  JSON.stringify([apart, together, unlearned, avoid])
const isOfListings = (kind: KindName) => kind === 'listings' || kind === 'sales'

/** What is worked out, and of what; it follows what rests, the rules and the corrections. */
export class EngineState {
  engine: ItemEngine | null = null
  /** the ledger that it is worked out of, without what is set aside */
  #entries: readonly ImportEntry[] = []
  readonly #read = new ReadCaptures()
  #keeping: ReturnType<typeof setTimeout> | undefined
  #loading: Promise<unknown> = Promise.resolve()
  #stores: { listings: Table; lists: string; count: number } | null = null

  /**
   * Takes up what was worked out last, brings up to date what is worked out, or works everything out. One begun while another is on its
   * way follows it, so that what was settled last counts in the end.
   *
   * @param onNews called where something came in or went, or items are put together otherwise
   * @throws Problem 'cancelled'
   */
  load(context: CallContext, settled: Settled, onNews: () => void): Promise<Loaded> {
    const loaded = this.#loading.then(() => this.#load(context, settled, onNews))
    this.#loading = loaded.catch(() => undefined) // heard of by whoever asked
    return loaded
  }

  async #load(context: CallContext, settled: Settled, onNews: () => void): Promise<Loaded> {
    stopIfCancelled(context.signal)
    const db = await openDatabase()
    let isClosing = true
    try {
      const ledger = await listImports(db)
      if (!this.engine) {
        onNews()
        const kept = await readSnapshot(db, this.#print(ledger, settled))
        if (kept) {
          isClosing = false
          const maker = kept.catalog().then((catalog) => new ItemMaker(catalog, settled.rules, settled.corrections))
          maker.finally(() => db.close()).catch(() => undefined) // heard of by whatever waits for it
          this.#take(ledger, new ItemEngine(kept.figures, maker, kept.first))
          return { ...kept.first.summary, spoilt: Object.fromEntries(this.#read.spoilt) }
        }
      }
      const before = await this.engine?.maker.catch(() => null)
      const load: Load = { db, ledger, settled, context, onNews }
      const maker = before ? await this.#follow(before, load) : await this.#workOut(load)
      const stores = await this.#countStores(load, maker.catalog.listings)
      this.#keepLater(this.#print(ledger, settled), stores)
      return { ...summaryOf(maker, stores), spoilt: Object.fromEntries(this.#read.spoilt) }
    } finally {
      if (isClosing) db.close()
    }
  }

  /**
   * Whether all that rests is still as it was kept, since what was worked out last is no proof of it. Where it is not, nothing that was
   * worked out is used any more.
   *
   * @returns whether everything has to be loaded anew
   */
  async audit(): Promise<boolean> {
    if (!this.engine) throw new Error('nothing is loaded yet')
    const db = await openDatabase()
    try {
      const fits = await this.engine.maker.then(
        () => true,
        () => false,
      )
      const isNews = await this.#read.audit(db, await listImports(db))
      if (fits && !isNews) return false
      this.engine = null
      await db.clear('snapshots')
      return true
    } finally {
      db.close()
    }
  }

  /** How many stores listings and lists of stores name: what Rivals will show. Counted anew where either changed. */
  async #countStores({ db, ledger }: Load, listings: Table): Promise<number> {
    const lists = ledger.filter((e) => e.kind === 'stores')
    const of = lists.map((e) => e.id).join()
    if (this.#stores?.listings !== listings || this.#stores.lists !== of) {
      const { names } = numberStores(listings, await this.#read.of(db, lists))
      this.#stores = { listings, lists: of, count: names.length }
    }
    return this.#stores.count
  }

  /** Everything from the beginning. */
  async #workOut({ db, ledger, settled, context }: Load): Promise<ItemMaker> {
    const { rules, corrections } = settled
    const captures = await this.#read.of(db, ledger)
    const maker = new ItemMaker(await buildCatalog(captures, part(context, 0, 0.6), corrections), rules, corrections)
    const figures = await makeFigures(maker, part(context, 0.6, 0.4))
    this.#take(ledger, new ItemEngine(figures, maker))
    return maker
  }

  /** Only what changed since. */
  async #follow(before: ItemMaker, load: Load): Promise<ItemMaker> {
    const { rules, corrections } = load.settled
    const { catalog, sameAs } = await this.#changeOf(before, load)
    const maker = new ItemMaker(catalog, rules, corrections, before)
    touchedInPlace(sameAs, before, maker)
    const figures = await renewFigures(this.#figures(), maker, sameAs, {
      ...part(load.context, 0.6, 0.4),
      haveDaysPassed: JSON.stringify(before.catalog.windowEnds) !== JSON.stringify(catalog.windowEnds),
    })
    stopIfCancelled(load.context.signal)
    this.#take(load.ledger, new ItemEngine(figures, maker))
    return maker
  }

  async #changeOf(before: ItemMaker, load: Load): Promise<CatalogChange> {
    const { ledger, settled, onNews } = load
    const come = ledger.filter((e) => !this.#read.spoilt.has(e.id) && !this.#entries.some((h) => h.id === e.id))
    const gone = this.#entries.filter((h) => !ledger.some((e) => e.id === h.id))
    const isSaidAnew = saidOf(before.corrections) !== saidOf(settled.corrections)
    if (come.length + gone.length === 0 && !isSaidAnew)
      return { catalog: before.catalog, sameAs: placesOf(before.count) }
    onNews() // in any case items have other places now
    const work = part(load.context, 0, 0.6)
    const others = await this.#othersOf(load)
    if (come.length + gone.length === 0)
      return rejoinCatalog(before.catalog, settled.corrections, { ...work, others, index: () => before.index() })
    // laid over nothing, all that comes would be looked up one by one
    if (isSaidAnew || before.count === 0)
      return builtAnew(await this.#read.of(load.db, ledger), settled.corrections, work)
    return renewCatalog(before.catalog, await this.#gathered(load, come, gone, others), settled.corrections, work)
  }

  async #gathered(
    { db, ledger }: Load,
    come: readonly ImportEntry[],
    gone: readonly ImportEntry[],
    others: readonly Capture[],
  ): Promise<Gathered> {
    const newest = newestLists(this.#entries, come, gone)
    return {
      kinds: new Set([...come, ...gone].map((e) => e.kind)),
      newest: newest && (await this.#read.of(db, newest)),
      others,
      all: () => this.#read.of(db, ledger),
    }
  }

  /** Captures of kinds other than listings and sales: there are few of them, and much hangs on them. */
  #othersOf({ db, ledger }: Load): Promise<Capture[]> {
    const others = ledger.filter((e) => !isOfListings(e.kind))
    return this.#read.of(db, others)
  }

  #print(ledger: readonly ImportEntry[], { rules, corrections }: Settled): string {
    return snapshotPrint(ledger, rules, corrections, this.#read.spoilt)
  }

  #figures(): Table {
    if (!this.engine) throw new Error('nothing is loaded yet')
    return this.engine.figures
  }

  #take(ledger: readonly ImportEntry[], engine: ItemEngine): void {
    this.engine = engine
    this.#entries = this.#read.sound(ledger)
    engine.prepareLater(() => this.engine === engine)
  }

  /** Keeps what was worked out once changes rest. */
  #keepLater(print: string, stores: number): void {
    clearTimeout(this.#keeping)
    this.#keeping = setTimeout(() => void this.#keep(print, stores), restMs)
  }

  async #keep(print: string, stores: number): Promise<void> {
    const now = this.engine
    if (!now) return
    const { catalog } = await now.maker
    const db = await openDatabase()
    await writeSnapshot(db, print, { catalog, figures: now.figures }, now.firstScreen(stores)).finally(() => db.close())
  }
}

/** A catalog from the beginning, where what came in and what was said changed at once, or nothing stood: no item is taken for one of before. */
async function builtAnew(
  captures: readonly Capture[],
  corrections: Corrections,
  work: WorkOptions,
): Promise<CatalogChange> {
  const catalog = await buildCatalog(captures, work, corrections)
  return { catalog, sameAs: new Int32Array(catalog.starts.length - 1).fill(-1) }
}

/** how often a long work lets others in and tells how far it is, ms */
const turnMs = 40
const pause = pauseEvery(turnMs)

/** Part of a longer work: what it has done counts for a share of all. */
function part({ signal, progress }: CallContext, from: number, share: number): WorkOptions {
  return { signal, pause, onProgress: seldom(turnMs, (done: number) => progress(from + share * done)) }
}

/** Lists of listings that came in, where they are newer than all lists and sales before and nothing else of listings came or went. */
function newestLists(
  had: readonly ImportEntry[],
  come: readonly ImportEntry[],
  gone: readonly ImportEntry[],
): ImportEntry[] | null {
  const lists = come.filter((e) => isOfListings(e.kind))
  const last = Math.max(-Infinity, ...had.filter((e) => isOfListings(e.kind)).map((e) => e.capturedOn))
  const isNewest = lists.every((e) => e.kind === 'listings' && e.capturedOn >= last)
  return isNewest && !gone.some((e) => isOfListings(e.kind)) ? lists : null
}
