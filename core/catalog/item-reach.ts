import type { Capture } from '../records'
import {
  gatherRows,
  numberAt,
  numbers,
  placesOf,
  recordCodec,
  TableBuilder,
  textAt,
  textColumn,
  type Column,
  type Table,
} from '../tables'
import { ClipsOfItem, type ClipReach } from './clips-of-item'
import { ListingIndex } from './find-listing'
import type { AvoidLine, ListingStatus } from '../clear'
import { itemClearing } from './item-clearing'
import { listingKey } from './listing'

/** What the records beside the listings say of how an item is sold and shown, over all that was gathered. */
export interface Reach {
  /** who offers it, by competing offers and listings together; null where no competing offer names it */
  competingOffers: number | null
  /** different creators of the clips and lives that name it; null where none does */
  clipCreators: number | null
  /** highest commission that its clips name, 0–1 */
  clipCommission: number | null
  /** what its clips and lives come to */
  clips: ClipReach
  /** stores that list it and nothing else; null where no listing names its store */
  oneItemStores: number | null
  /** stores that list no more than `fewItems`, those with one item among them; null where no listing names its store */
  smallStores: number | null
  /** where it is advertised */
  channels: string[]
  /** what lists say of whether it may be listed; null where nothing speaks of it */
  clearing: ListingStatus | null
}

const clipColumns = {
  clips30: 'number',
  clipUnits30: 'number',
  liveUnits30: 'number',
  unpaidRatio: 'number',
  joined28: 'number',
} as const
const codec = recordCodec({
  competingOffers: 'number',
  clipCreators: 'number',
  clipCommission: 'number',
  ...clipColumns,
  oneItemStores: 'number',
  smallStores: 'number',
  channels: 'words',
  clearing: 'text',
})

interface Joined {
  listings: Table
  /** listing → item; -1 where it does not count */
  itemOf: Int32Array
  /** how many items there are */
  items: number
}

export interface ReachOptions {
  /** finds listings; made anew where it is left out */
  index?: () => ListingIndex
  onProgress?: (done: number) => Promise<void>
  /** what the seller will not list */
  avoid?: readonly AvoidLine[]
  /** market → the last day its figures speak of; by default the day a record was captured */
  windowEnds?: Record<string, number>
}

/** Reach of every item, one row an item. Records that name no gathered listing are passed over. */
export async function itemReach(
  captures: readonly Capture[],
  joined: Joined,
  {
    index = () => new ListingIndex(joined.listings),
    onProgress = async () => {},
    avoid = [],
    windowEnds = {},
  }: ReachOptions = {},
): Promise<Table> {
  await onProgress(0)
  const stores = storesBySize(joined)
  const met = metRecords(captures, joined, { index, windowEnds })
  const clearing = await itemClearing(captures, avoid, joined)
  const columns: Record<string, Column> = {
    oneItemStores: { type: 'number', values: stores.one },
    smallStores: { type: 'number', values: stores.few },
    ...(clearing ? { clearing } : {}),
  }
  if (met.size === 0) return { rows: joined.items, columns }
  const places = [...met.keys()].sort((a, b) => a - b)
  const builder = new TableBuilder(codec.columns)
  for (const item of places) {
    const { sellers, creators, channels, commission, clips } = met.get(item) as Met
    const size = (set: Set<string>) => (set.size > 0 ? set.size : null)
    builder.add(
      codec.pack({
        competingOffers: size(sellers),
        clipCreators: size(creators),
        clipCommission: commission,
        ...clips.reach(),
        channels: [...channels].sort(),
      }),
    )
  }
  const from = placesOf(joined.items)
  for (const item of places) from[item] = -1
  // of all others nothing is known: a table without columns has their rows
  const spread = gatherRows({ rows: joined.items, columns: {} }, from, builder.finish())
  return { rows: joined.items, columns: { ...spread.columns, ...columns } }
}

/** The reach of one item as kept in the table. */
export function reachAt(table: Table, item: number): Reach {
  const r = codec.at(table, item)
  // named one by one: a spread takes three times as long, and there are a million items
  return {
    competingOffers: r.competingOffers,
    clipCreators: r.clipCreators,
    clipCommission: r.clipCommission,
    clips: {
      clips30: r.clips30,
      clipUnits30: r.clipUnits30,
      liveUnits30: r.liveUnits30,
      unpaidRatio: r.unpaidRatio,
      joined28: r.joined28,
    },
    oneItemStores: r.oneItemStores,
    smallStores: r.smallStores,
    channels: r.channels,
    clearing: r.clearing as ListingStatus | null,
  }
}

/** items that a small shop lists at most, as far as they are gathered; common practice, no source */
export const fewItems = 10

/** How many of each item's stores list that one item alone, and how many list few; NaN where no store is named. */
function storesBySize({ listings, itemOf, items }: Joined): { one: Float64Array; few: Float64Array } {
  const [market, store] = [textColumn(listings, 'market'), textColumn(listings, 'store')]
  // by store and market; a store without a market has the first place of its own
  const markets = market.words.length + 1
  const [unmet, large] = [-1, -2]
  const numbers = new Int32Array(store.words.length * markets).fill(unmet)
  /** of each small store its items */
  const met: Set<number>[] = []
  const one = new Float64Array(items).fill(NaN)
  for (let l = 0; l < itemOf.length; l++) {
    const item = itemOf[l] as number
    const own = store.codes[l] as number
    if (own < 0 || item < 0) continue
    one[item] = 0
    const at = own * markets + (market.codes[l] as number) + 1
    // most listings of a large market are those of large stores: nothing is asked of them
    if (numbers[at] === large) continue
    if (numbers[at] === unmet) numbers[at] = met.push(new Set()) - 1
    const its = met[numbers[at] as number] as Set<number>
    if (its.add(item).size <= fewItems) continue
    its.clear()
    numbers[at] = large
  }
  const few = one.slice()
  for (const its of met) {
    for (const item of its) few[item] = (few[item] as number) + 1
    if (its.size === 1) for (const item of its) one[item] = (one[item] as number) + 1
  }
  return { one, few }
}

interface Met {
  sellers: Set<string>
  creators: Set<string>
  channels: Set<string>
  clips: ClipsOfItem
  commission: number | null
}

const newlyMet = (): Met => ({
  sellers: new Set(),
  creators: new Set(),
  channels: new Set(),
  clips: new ClipsOfItem(),
  commission: null,
})

const kinds = new Set<string>(['competing', 'clips', 'ads'])

/** Competing offers, clips and advertisements by the item whose listing or barcode they name. */
function metRecords(
  captures: readonly Capture[],
  { listings, itemOf }: Joined,
  { index: makeIndex, windowEnds }: Pick<Required<ReachOptions>, 'index' | 'windowEnds'>,
): Map<number, Met> {
  const met = new Map<number, Met>()
  const records = captures
    .filter((c) => kinds.has(c.kind) && c.table.rows > 0)
    .sort((a, b) => a.capturedOn - b.capturedOn)
  if (records.length === 0) return met
  const index = makeIndex()
  const byGtin = itemsByGtin(listings, itemOf)
  for (const { id: capture, kind, table, capturedOn } of records) {
    const text = (name: string) => textColumn(table, name)
    const [market, id, gtin] = [text('market'), text('id'), text('gtin')]
    const who = text(kind === 'competing' ? 'store' : kind === 'clips' ? 'creator' : 'channel')
    const commission = numbers(table, 'commission')
    const [clip, sort, paid] = [text('clip'), text('sort'), text('paid')]
    const [day, units] = [numbers(table, 'day'), numbers(table, 'units')]
    for (let row = 0; row < table.rows; row++) {
      const listing = index.find(listingKey(textAt(market, row), textAt(id, row)))
      const item = listing === null ? byGtin.get(textAt(gtin, row) ?? '') : itemOf[listing]
      const name = textAt(who, row)
      if (item === undefined || item < 0 || name === null) continue
      const found = met.get(item) ?? newlyMet()
      met.set(item, found)
      if (kind === 'competing') found.sellers.add(`${textAt(market, row) ?? '?'}/${name}`)
      else if (kind === 'ads') found.channels.add(name.replaceAll('|', ' '))
      else {
        found.creators.add(name)
        found.clips.add(`${textAt(market, row) ?? '?'}/${textAt(clip, row) ?? `${capture} ${row}`}`, {
          creator: name,
          sort: textAt(sort, row),
          paid: textAt(paid, row),
          day: numberAt(day, row),
          units: numberAt(units, row),
          end: windowEnds[textAt(market, row) ?? '?'] ?? capturedOn,
        })
        const rate = numberAt(commission, row)
        if (rate !== null) found.commission = Math.max(found.commission ?? 0, rate)
      }
    }
  }
  addListedSellers(met, listings, itemOf)
  return met
}

function itemsByGtin(listings: Table, itemOf: Int32Array): Map<string, number> {
  const gtin = textColumn(listings, 'gtin')
  const items = new Map<string, number>()
  itemOf.forEach((item, l) => {
    const code = textAt(gtin, l)
    if (code !== null && item >= 0 && !items.has(code)) items.set(code, item)
  })
  return items
}

/** Where competing offers are known, the stores that list the item sell it too. */
function addListedSellers(met: Map<number, Met>, listings: Table, itemOf: Int32Array): void {
  const [market, store] = [textColumn(listings, 'market'), textColumn(listings, 'store')]
  itemOf.forEach((item, l) => {
    const found = met.get(item)
    const name = textAt(store, l)
    if (found && found.sellers.size > 0 && name !== null) found.sellers.add(`${textAt(market, l) ?? '?'}/${name}`)
  })
}
