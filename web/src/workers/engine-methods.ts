import type { Corrections, Item, SellerRules } from '@sickle/core/catalog'
import { emptyQuery, findRow, seenColumns, type Finder, type Query } from '@sickle/core/engine'
import type { ExportFormat } from '@sickle/core/exports'
import { adMethods } from './ad-methods'
import type { CallContext } from './channel'
import { clearingMethods } from './clearing-methods'
import { clipMethods } from './clip-methods'
import { creatorMethods } from './creator-methods'
import { designMethods } from './design-methods'
import { demandMethods } from './demand-methods'
import { EngineState } from './engine-state'
import type { ItemEngine, Shown } from './item-engine'
import { LensEngines, type LensMarkets } from './lens-engines'
import { lookMethods } from './look-methods'
import { ownMethods, ownSource } from './own-methods'
import { pauseEvery } from './pause'
import { pictureMethods } from './picture-methods'
import { poolMethods } from './pool-methods'
import { seldom } from './seldom'
import { storeEstimateMethods, storeListMethods, storePageMethods } from './store-methods'
import { storeSource } from './store-source'
import { storeTableMethods } from './store-tables'
import { supplierMethods } from './supplier-methods'
import { supplyMethods } from './supply-methods'

const state = new EngineState()
const pause = pauseEvery(40)

function loaded(): ItemEngine {
  if (!state.engine) throw new Error('nothing is loaded yet')
  return state.engine
}

const lenses = new LensEngines(loaded)
const through = (lens: LensMarkets = []) => lenses.through(lens, { pause })
/** of the last answer */
let askedLens: LensMarkets = []
const lastAsked = () => through(askedLens)

const demand = demandMethods(through)
const look = lookMethods(through, demand.allTerms)
const clearing = clearingMethods(loaded, lastAsked)
const clips = clipMethods(through)
const ads = adMethods(through)
const creators = creatorMethods(through, clips.clipsOn)
const suppliers = supplierMethods(loaded)
const own = ownSource(loaded)
const stores = storeSource(loaded)

/** What the engine worker is asked for. */
export const engineMethods = {
  ...demand.methods,
  ...look.methods,
  ...clearing.methods,
  ...suppliers.methods,
  ...clips.methods,
  ...creators.methods,
  ...ads.methods,
  ...designMethods(loaded),
  ...storeListMethods(through, stores, own),
  ...storePageMethods(stores, own),
  ...storeEstimateMethods(stores),
  ...storeTableMethods(loaded, stores, own),
  ...poolMethods(loaded, stores, own),
  ...ownMethods(loaded, own),
  ...supplyMethods(loaded, lastAsked),
  ...pictureMethods(loaded),

  /** Brings what is worked out up to date with what rests, the rules and the corrections: only what they change is worked out again. */
  async load(context: CallContext, rules: SellerRules, corrections: Corrections) {
    return state.load(context, { rules, corrections }, () => {
      demand.forget()
      look.forget()
      clearing.forget()
      suppliers.forget()
      clips.forget()
      creators.forget()
      ads.forget()
      stores.forget()
      own.forget()
    })
  },

  /** Whether all that rests is still as it was kept. @returns whether everything has to be loaded anew */
  audit: () => state.audit(),

  /** Works out what is seen through a lens ahead of the questions about it. @throws Problem 'cancelled' */
  async lookThrough({ progress, signal }: CallContext, lens: string[]): Promise<void> {
    await lenses.through(lens, { pause, signal, onProgress: seldom(40, (done: number) => progress(done)) })
  },

  async ask(_: CallContext, query: Query, hidden: string[], shown: Shown, count: number, looked: string | null) {
    askedLens = query.lens
    return (await lastAsked()).ask(query, hidden, { ...shown, own: await ownItems([query]) }, count, looked)
  },

  /** More rows of the last answer. */
  page: async (_: CallContext, from: number, count: number) =>
    state.engine ? (await lastAsked()).rowsAt(from, count) : [],

  /** How many items each Cut would leave. */
  async counts(_: CallContext, queries: Query[], hidden: string[]) {
    const engine = state.engine
    if (!engine) return queries.map(() => 0)
    const places = await engine.placesOf(hidden)
    const mine = await ownItems(queries)
    if (queries.some((q) => q.words !== '' || q.phrase || q.stores?.length)) await engine.maker
    const counters = new Map<string, Finder>()
    const counts: number[] = []
    for (const query of queries) {
      const lens = query.lens ?? []
      const counter = counters.get(lens.join('\n')) ?? (await through(lens)).newFinder()
      counters.set(lens.join('\n'), counter)
      counts.push(counter.ask({ ...emptyQuery, ...query }, places, mine).matching)
    }
    return counts
  },

  /** Keys of the items that a query leaves, in its order. */
  async keys(_: CallContext, query: Query, hidden: string[], most: number) {
    const engine = await through(query.lens)
    const [maker, finder] = [await engine.maker, engine.newFinder()]
    finder.ask({ ...emptyQuery, ...query }, await engine.placesOf(hidden), await ownItems([query]))
    return Array.from(finder.places(0, most), (at) => maker.keyAt(at))
  },

  /** What the last answer found, as a file with the columns that are seen. */
  async exportFinds({ progress, signal }: CallContext, columns: string[], format: ExportFormat) {
    const { figures, finder, maker: made } = await lastAsked()
    const maker = await made
    const { writeExport } = await import('@sickle/core/exports')
    const places = finder.places(0, figures.rows)
    const seen = await seenColumns(places, columns, {
      figures,
      maker,
      signal,
      pause,
      onProgress: seldom(40, (done: number) => progress(done)),
    })
    return writeExport(format, seen, 'Finds')
  },

  /** Items that move most, as rows. */
  movers: (_: CallContext, most: number) => state.engine?.movers(most) ?? { rising: [], fading: [] },

  item: (_: CallContext, key: string) => itemOf(key),

  /** The same through a lens: by what counts of it, or by all where nothing does. */
  seenItem: async (_: CallContext, key: string, lens: string[]) => (await through(lens)).itemOf(key),

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

/** What of all items is mine, where any question asks for it: else it is not worked out. */
const ownItems = (queries: readonly Query[]) =>
  queries.some((q) => (q.own ?? 'any') !== 'any') ? own.items() : Promise.resolve(null)

const itemOf = async (key: string): Promise<Item | null> => state.engine?.itemOf(key) ?? null

export type EngineMethods = typeof engineMethods
