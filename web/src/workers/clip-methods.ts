import { toHome, type Item, type ItemMaker } from '@sickle/core/catalog'
import { listingsAnswering } from '@sickle/core/engine'
import type { OptionLift } from '@sickle/core/demand'
import {
  ClipList,
  clipSums,
  earnsMore,
  itemOutlook,
  mergeClips,
  postedAbout,
  whatSells,
  type Clip,
  type ClipAlike,
  type ClipFigure,
  type ClipQuery,
  type ClipRules,
  type ClipSums,
  type ItemOutlook,
  type KindEarnings,
  type Posted,
} from '@sickle/core/social'
import { numberIn, textAt, textColumn, textIn } from '@sickle/core/tables'
import type { CallContext } from './channel'
import type { ItemEngine } from './item-engine'
import type { LensMarkets, Through } from './lens-engines'
import { readOnce } from './read-once'
import { capturesOf, recordsAtRest } from './records-at-rest'

/** Clips of an item's category that are asked beside its own, at most */
const mostAlike = 2_000

/** What a clip about an item would earn me, and what selling it myself is compared with. */
export interface Earnings {
  outlook: ItemOutlook
  /** price and commission that it is reckoned at */
  priceE4: number | null
  commission: number | null
}

/** Clips about one item, those about what a store sells, those about what answers to a phrase, or all. */
export type ClipScope =
  | { of: 'all' }
  | { of: 'item'; key: string }
  | { of: 'store'; market: string; name: string }
  | { of: 'phrase'; phrase: string }

/** A clip, and the item that it shows; null where that is not gathered. */
export interface PostedRow {
  clip: Clip
  item: { key: string; title: string } | null
}

export interface PostedAnswer {
  rows: PostedRow[]
  /** clips of the scope, and those of them that pass */
  of: number
  found: number
  sums: ClipSums
  /** what goes with selling, and which kinds take more, over those that pass */
  sells: OptionLift[]
  earns: KindEarnings[]
  /** those that pass every limit but those of age and views, which are brushed there; of the most units, as many as a field shows */
  field: ClipPoints
}

/** Clips on a field. Shape: one entry a clip; NaN is not known. */
export interface ClipPoints {
  /** places in the list of the scope */
  places: Int32Array
  /** days before the newest clip of the scope */
  age: Float32Array
  views: Float32Array
  units: Float32Array
  /** of how many */
  of: number
  /** 1 where it passes age and views too */
  isFound: Uint8Array
}

/** points beyond which a field is one blot */
const mostPoints = 10_000

/** What is asked of clips and lives. */
export function clipMethods(through: Through) {
  const captures = readOnce(() => capturesOf('clips'))
  const merged = readOnce(async () => {
    const { rules } = await (await through()).maker
    return mergeClips(await captures.get(), (currency) => toHome(currency, rules))
  })
  /** one list for each scope that was asked last, so that a limit that moves finds its orders made */
  let last: { scope: string; list: ClipList } | null = null
  async function listOf(scope: ClipScope, lens: LensMarkets): Promise<ClipList> {
    const name = JSON.stringify([scope, lens])
    if (last?.scope === name) return last.list
    const [all, engine] = [await clipsOn(lens), await through()]
    last = { scope: name, list: new ClipList(all.filter(inScope(scope, engine, await engine.maker))) }
    return last.list
  }
  const clipsOn = async (lens: LensMarkets) => (await merged.get()).filter(isOn(lens))
  const item = aboutItem(through, clipsOn)
  return {
    methods: {
      /** Clips and lives that pass, in their order, what they come to together, and what goes with selling. */
      async clips(
        _: CallContext,
        scope: ClipScope,
        query: ClipQuery,
        lens: string[],
        most: number,
      ): Promise<PostedAnswer> {
        const list = await listOf(scope, lens)
        const maker = await (await through()).maker
        const found = list.ask(query)
        return {
          rows: Array.from(found.subarray(0, most), (at) => rowOf(list.clips[at] as Clip, maker)),
          of: list.clips.length,
          found: found.length,
          sums: clipSums(list.columns, found),
          sells: whatSells(list.columns, found),
          earns: earnsMore(list.columns, found),
          field: pointsOf(list, query, found),
        }
      },

      /** One clip of a scope by its place, as a field names it. */
      async clipAt(_: CallContext, scope: ClipScope, place: number, lens: string[]): Promise<PostedRow | null> {
        const [list, { maker }] = [await listOf(scope, lens), await through()]
        const clip = list.clips[place]
        return clip ? rowOf(clip, await maker) : null
      },

      ...item.methods,
    },
    clipsOn,
    forget() {
      for (const read of [captures, item.ads, merged]) read.forget()
      last = null
    },
  }
}

/** What is asked of the clips of one item. */
function aboutItem(through: Through, clipsOn: (lens: LensMarkets) => Promise<Clip[]>) {
  const ads = readOnce(() => recordsAtRest('ads'))
  return {
    ads,
    methods: {
      /** Clips, lives and advertisements about an item; null where none were brought in at all. */
      async posted(_: CallContext, key: string, lens: string[]): Promise<Posted | null> {
        const engine = await through(lens)
        const [clips, shown, item] = await Promise.all([clipsOn(lens), ads.get(), engine.itemOf(key)])
        if (!item || clips.length + shown.length === 0) return null
        return postedAbout(clips, shown, new Set(item.listings.map((l) => l.key)))
      },

      /** What a clip about an item would earn; null where no clips are gathered, or none says what it sold. */
      async earnings(_: CallContext, key: string, rules: ClipRules, lens: string[]): Promise<Earnings | null> {
        const [clips, engine] = [await clipsOn(lens), await through(lens)]
        const maker = await engine.maker
        const place = maker.find(key)
        if (place === null || clips.length === 0) return null
        const item = maker.at(place, false)
        const listings = new Set(item.listings.map((l) => l.key))
        const own = clips.filter((c) => c.listing !== null && listings.has(c.listing))
        const on = onClips(item, own)
        const outlook = itemOutlook(own, clipsAlike(engine, maker, { clips, item, place }), {
          item: { listings, ...on },
          rules,
        })
        return outlook && { outlook, ...on }
      },
    },
  }
}

/** Whether a clip counts; one that names no market does where all do. */
const isOn =
  (lens: LensMarkets) =>
  ({ market }: Clip) =>
    lens.length === 0 || (market !== null && lens.includes(market))

function inScope(scope: ClipScope, engine: ItemEngine, maker: ItemMaker): (clip: Clip) => boolean {
  if (scope.of === 'all') return () => true
  if (scope.of === 'item') {
    const place = maker.find(scope.key)
    return ({ listing }) => place !== null && listing !== null && maker.find(listing) === place
  }
  const { listings } = maker.catalog
  const index = maker.index()
  if (scope.of === 'phrase') {
    const items = new Set<number | undefined>()
    for (const row of listingsAnswering(maker.catalog, engine.finder.search, scope.phrase))
      items.add(maker.catalog.itemOf[row])
    return ({ listing }) => listing !== null && items.has(maker.find(listing) ?? undefined)
  }
  return ({ market, listing }) => {
    const row = market === scope.market && listing !== null ? index.find(listing) : null
    return row !== null && textIn(listings, 'store', row) === scope.name
  }
}

const rowOf = (clip: Clip, maker: ItemMaker): PostedRow => ({ clip, item: itemShown(clip, maker) })

function pointsOf(list: ClipList, query: ClipQuery, found: Int32Array): ClipPoints {
  const { age: _, views: _views, ...limits } = query.limits
  const all = list.ask({ ...query, limits, by: 'units', descending: true })
  const places = all.slice(0, mostPoints)
  const passes = new Uint8Array(list.clips.length)
  for (const at of found) passes[at] = 1
  const of = (name: ClipFigure) => Float32Array.from(places, (at) => list.figure(name)[at] as number)
  return {
    places,
    of: all.length,
    age: of('age'),
    views: of('views'),
    units: of('units'),
    isFound: Uint8Array.from(places, (at) => passes[at] as number),
  }
}

function itemShown({ listing }: Clip, maker: ItemMaker): PostedRow['item'] {
  const place = listing === null ? null : maker.find(listing)
  return place === null ? null : { key: maker.keyAt(place), title: maker.titleAt(place) }
}

/** The lowest price on the markets where it is shown, or on any; and the commission that its clips name, or its listings. */
function onClips(item: Item, own: readonly Clip[]): Pick<Earnings, 'priceE4' | 'commission'> {
  const markets = new Set(own.map((c) => c.market))
  const prices = (of: (market: string) => boolean) =>
    item.listings.filter((l) => of(l.market)).flatMap((l) => l.priceE4 ?? [])
  const here = prices((market) => markets.has(market))
  const all = here.length > 0 ? here : prices(() => true)
  const rates = own.flatMap((c) => c.commission ?? [])
  return {
    priceE4: all.length === 0 ? null : Math.min(...all),
    commission: rates.length === 0 ? item.commission : rates.reduce((a, b) => a + b, 0) / rates.length,
  }
}

/** Clips about other items of the same category, each with how much more this one sells. */
function clipsAlike(
  { figures }: ItemEngine,
  maker: ItemMaker,
  { clips, item, place }: { clips: readonly Clip[]; item: Item; place: number },
): ClipAlike[] {
  if (item.category === null) return []
  const categories = textColumn(figures, 'categories')
  const mine = textAt(categories, place)
  const alike: ClipAlike[] = []
  for (const clip of clips) {
    const other = clip.listing === null ? null : maker.find(clip.listing)
    if (other === null || other === place || textAt(categories, other) !== mine) continue
    const units = numberIn(figures, 'units', other)
    alike.push({ clip, factor: item.units === null || !units ? null : item.units / units })
    if (alike.length === mostAlike) break
  }
  return alike
}
