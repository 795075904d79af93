import { clearerOf, type Item, type ItemMaker, type Overruling } from '@sickle/core/catalog'
import { statusOrder, type Asked, type Clearance, type Clearer, type ListingStatus } from '@sickle/core/clear'
import { findRow, type FindRow } from '@sickle/core/engine'
import { textAt, textColumn } from '@sickle/core/tables'
import type { CallContext } from './channel'
import type { ItemEngine } from './item-engine'
import { readOnce } from './read-once'
import { capturesOf } from './records-at-rest'
import { placesOfScope, type ItemScope } from './item-scope'

/** Whether an item may be listed, by lists and by the seller's own word. */
export interface ItemClearance extends Clearance {
  /** why the seller lists it all the same; null where nothing was said */
  overruled: Overruling | null
}

/** What of a draft is looked through beside its item. */
export interface DraftTexts {
  id: string
  item: string
  title: string
  tags: readonly string[]
}

export interface ClearingRows {
  /** how many items of the scope have each status */
  counts: Record<ListingStatus, number>
  rows: { row: FindRow; clearance: ItemClearance }[]
}

/** What a market is to be asked in one go. */
export interface ToAsk {
  asked: Asked[]
  /** items beyond the most that are asked at once; they were not looked at */
  more: number
}

/** rows that are told at once */
const mostRows = 500
/** items that a market is asked about at once */
const mostAsked = 5_000
/** items that are marked as not to be listed, wherever they stand */
const mostMarked = 100_000

/** What Clearing asks, and the Close look and drafts with it. */
export function clearingMethods(engine: () => ItemEngine, lastAsked: () => Promise<ItemEngine>) {
  const lists = readOnce(() => capturesOf('restricted'))
  const clearerNow = remembered(async () => [await lists.get(), (await engine().maker).corrections.avoid] as const)
  const cleared = clearanceOf(engine, clearerNow)

  async function statuses(scope: ItemScope) {
    const column = textColumn(engine().figures, 'clearing')
    const places = [...(await placesOfScope(engine(), scope, lastAsked))]
    return places.map((place) => ({ place, status: (textAt(column, place) ?? 'unknown') as ListingStatus }))
  }

  return {
    methods: {
      /** Whether it may be listed; null where there is no list at all. */
      allowed: (_: CallContext, key: string) => cleared(key),

      /** The same of drafts, by their own words too; empty where there is no list. */
      async clearDrafts(_: CallContext, drafts: DraftTexts[]) {
        const clearer = await clearerNow()
        if (clearer.entries.length === 0) return new Map<string, ItemClearance>()
        const each = await Promise.all(
          drafts.map(async ({ id, item, title, tags }) => {
            const texts = [{ key: '', title, tags: tags.join('|') }]
            return [id, await cleared(item, texts)] as const
          }),
        )
        return new Map(each.flatMap(([id, clearance]) => (clearance ? [[id, clearance] as const] : [])))
      },

      /** Items of a scope with what is said of them, those of one status or all. */
      async clearingRows(_: CallContext, scope: ItemScope, wanted: ListingStatus | null): Promise<ClearingRows> {
        const maker = await engine().maker
        const all = await statuses(scope)
        const counts = Object.fromEntries(statusOrder.map((s) => [s, 0])) as ClearingRows['counts']
        for (const { status } of all) counts[status]++
        const shown = all.filter(({ status }) => wanted === null || status === wanted).slice(0, mostRows)
        const clearer = await clearerNow()
        const rows = shown.map(({ place }) => {
          const item = maker.at(place, false)
          return { row: findRow(item), clearance: withOverruling(clearer.clear(listedOf(item)), maker, item.key) }
        })
        return { counts, rows }
      },

      /** What may not be listed, or needs approval first, by key, as lists mark it. */
      async barred(_: CallContext): Promise<Map<string, ListingStatus>> {
        const maker = await engine().maker
        const all = await statuses({ of: 'all' })
        const barred = all.filter(({ status }) => status === 'restricted' || status === 'needs approval')
        return new Map(barred.slice(0, mostMarked).map(({ place, status }) => [maker.keyAt(place), status]))
      },

      /** What a market is to be asked: of every item that nothing speaks of there the listing on it, else another that is known. */
      askedOf: async (_: CallContext, scope: ItemScope, market: string) =>
        askedOf(await engine().maker, await clearerNow(), await placesOfScope(engine(), scope, lastAsked), market),
    },
    forget: () => lists.forget(),
  }
}

/** One clearer as long as the lists and what is avoided are the same. */
function remembered(
  sources: () => Promise<readonly [Parameters<typeof clearerOf>[0], Parameters<typeof clearerOf>[1]]>,
) {
  let made: { of: readonly [unknown, unknown]; clearer: Clearer } | null = null
  return async (): Promise<Clearer> => {
    const of = await sources()
    if (!made || made.of[0] !== of[0] || made.of[1] !== of[1]) made = { of, clearer: clearerOf(...of) }
    return made.clearer
  }
}

/** What is said of an item, and of texts that are to be listed for it. */
function clearanceOf(engine: () => ItemEngine, clearerNow: () => Promise<Clearer>) {
  return async (
    key: string,
    texts: { key: string; title: string; tags: string | null }[] = [],
  ): Promise<ItemClearance | null> => {
    const [maker, clearer] = [await engine().maker, await clearerNow()]
    const item = await engine().itemOf(key)
    if (clearer.entries.length === 0) return null
    if (!item && texts.length === 0) return null
    const listed = item ? listedOf(item) : { gtin: null, brand: null, category: null, listings: [] }
    const clearance = clearer.clear({ ...listed, listings: [...listed.listings, ...texts] })
    return withOverruling(clearance, maker, key)
  }
}

function askedOf(maker: ItemMaker, clearer: Clearer, places: Iterable<number>, market: string): ToAsk {
  const asked: Asked[] = []
  let more = 0
  for (const place of places) {
    if (asked.length === mostAsked) {
      more++
      continue
    }
    const item = maker.at(place, false)
    const listing = item.listings.find((l) => l.market === market) ?? item.listings[0]
    if (!listing || maker.corrections.cleared[item.key] || isAnsweredFor(market, clearer.clear(listedOf(item))))
      continue
    asked.push({ item: item.key, market, id: listing.id, gtin: item.gtin, title: item.title })
  }
  return { asked, more }
}

const isAnsweredFor = (market: string, { because }: Clearance) =>
  because.some((entry) => entry.market === null || entry.market === market)
const listedOf = ({ gtin, brand, category, listings }: Item) => ({ gtin, brand, category, listings })

function withOverruling(clearance: Clearance, { corrections }: ItemMaker, key: string): ItemClearance {
  const overruled = corrections.cleared[key] ?? null
  return overruled ? { ...clearance, status: 'allowed', overruled } : { ...clearance, overruled }
}
