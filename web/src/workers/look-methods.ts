import {
  itemSellers,
  joinTold,
  listingChoices,
  pricedUnits,
  soldTitles,
  tellOfferLessons,
  toldLessons,
  type Item,
  type ItemMaker,
} from '@sickle/core/catalog'
import { courseOf, optionLifts, priceResponse } from '@sickle/core/demand'
import { findRow, type FindRow } from '@sickle/core/engine'
import { TitleIndex, titleSignature, type Likeness } from '@sickle/core/goods'
import { mergeCompeting } from '@sickle/core/room'
import type { Term } from '@sickle/core/terms'
import { titleBySearches, wordsThatSell } from '@sickle/core/words'
import type { LensMarkets, Through } from './lens-engines'
import type { CallContext } from './channel'
import { readOnce } from './read-once'
import { capturesOf } from './records-at-rest'

/** items beyond which alike titles are not indexed: it would take the worker too long for a by-the-way offer */
const mostIndexed = 100_000

export interface FindAlike {
  row: FindRow
  likeness: Likeness
}

function titlesOf(maker: ItemMaker): TitleIndex {
  return new TitleIndex(Array.from({ length: maker.count }, (_, i) => titleSignature(maker.at(i, false).title)))
}

/** What the Close look asks beyond the item itself; records of the smaller kinds are read from rest when they are first asked for. */
export function lookMethods(through: Through, allTerms: () => Promise<Term[]>) {
  const prices = readOnce(() => capturesOf('sales', 'price'))
  const alike = alikeMethods(through)
  const people = peopleMethods(through)
  const itemOf = async (key: string, lens: LensMarkets): Promise<Item | null> => (await through(lens)).itemOf(key)
  return {
    methods: {
      /** How the sales of an item run: season, change of level, weekdays. */
      async course(_: CallContext, key: string, lens: string[]) {
        const item = await itemOf(key, lens)
        return item && courseOf(item.listings.flatMap((l) => l.series ?? []))
      },

      /** Words that sell and words that do not, among the listings of an item's category. */
      async words(_: CallContext, key: string, lens: string[]) {
        const item = await itemOf(key, lens)
        if (!item?.category) return null
        const maker = await (await through(lens)).maker
        return wordsThatSell(soldTitles(maker.catalog, item.category, (l) => maker.isCounted(l)))
      },

      /** A title of the words that most buyers search for, within the limit; null where no gathered term names these goods. */
      async titleFor(_: CallContext, key: string, limit: number, lens: string[]) {
        const [item, all] = await Promise.all([itemOf(key, lens), allTerms()])
        return (
          item &&
          titleBySearches(
            item.listings.map((l) => l.title),
            all.filter((t) => lens.length === 0 || lens.includes(t.market)),
            limit,
          )
        )
      },

      /** How units went with price and promotion, of the listing with most priced days or weeks; null where too few are known. */
      async response(_: CallContext, key: string, lens: string[]) {
        const item = await itemOf(key, lens)
        const keys = new Set(item?.listings.map((l) => l.key) ?? [])
        const priced = await prices.get()
        const [most = []] = [...pricedUnits(priced, keys).values()].sort((a, b) => b.length - a.length)
        return priceResponse(most)
      },

      /** What the options that sellers choose do for listings of the item's category. */
      async options(_: CallContext, key: string, lens: string[]) {
        const item = await itemOf(key, lens)
        if (!item?.category) return null
        const maker = await (await through(lens)).maker
        return optionLifts(listingChoices(maker.catalog, item.category, (l) => maker.isCounted(l)))
      },

      ...alike.methods,
      ...people.methods,
    },
    /** What was read is out of date. */
    forget() {
      for (const part of [prices, alike, people]) part.forget()
    },
  }
}

/** Items whose titles are alike. */
function alikeMethods(through: Through) {
  let titles: TitleIndex | null = null
  return {
    methods: {
      /** What the titles of all listings teach of words. */
      async titleLessons(_: CallContext) {
        const maker = await (await through()).maker
        return joinTold(toldLessons(maker.catalog), tellOfferLessons(maker.offerLessons))
      },

      /** Other items whose titles are alike: offered to be joined, never joined by themselves. */
      async alike(_: CallContext, key: string): Promise<FindAlike[]> {
        const engine = await through()
        const [item, maker] = [await engine.itemOf(key), await engine.maker]
        if (!item || maker.count > mostIndexed) return []
        titles ??= titlesOf(maker)
        const found = titles.find(titleSignature(item.title), 7)
        return found
          .map(({ at, likeness }) => ({ row: findRow(maker.at(at, false)), likeness }))
          .filter(({ row }) => row.key !== key)
          .slice(0, 5)
      },
    },
    forget: () => void (titles = null),
  }
}

/** Who sells an item. */
function peopleMethods(through: Through) {
  const competing = readOnce(() => capturesOf('competing').then(mergeCompeting))
  return {
    methods: {
      /** Who sells it: listings and competing offers together. */
      async sellers(_: CallContext, key: string, lens: string[]) {
        const engine = await through(lens)
        const [item, offers] = await Promise.all([engine.itemOf(key), competing.get()])
        return item ? itemSellers(item, offers, await engine.maker) : []
      },
    },
    forget: () => competing.forget(),
  }
}
