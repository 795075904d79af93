import type { ItemMaker } from '@sickle/core/catalog'
import { AdList, groupAds, mergeAds, type AdAnswer, type AdGroup, type AdQuery } from '@sickle/core/social'
import { textIn } from '@sickle/core/tables'
import type { CallContext } from './channel'
import type { LensMarkets, Through } from './lens-engines'
import { readOnce } from './read-once'
import { capturesOf } from './records-at-rest'

/** An ad, the item that it shows and the store that lists it; null where those are not gathered. */
export interface AdRow {
  ad: AdGroup
  item: { key: string; title: string } | null
  store: { market: string; name: string } | null
}

export interface AdsAnswer {
  rows: AdRow[]
  found: number
  of: number
  /** numbers that they were seen under */
  numbers: number
  facets: AdAnswer['facets']
}

/** What is asked of advertisements. */
export function adMethods(through: Through) {
  const groups = readOnce(async () => groupAds(mergeAds(await capturesOf('ads'))))
  let last: { lens: string; list: AdList } | null = null
  async function listOf(lens: LensMarkets): Promise<AdList> {
    const name = JSON.stringify(lens)
    if (last?.lens === name) return last.list
    const all = await groups.get()
    last = { lens: name, list: new AdList(lens.length === 0 ? all : all.filter((a) => lens.includes(a.market))) }
    return last.list
  }
  return {
    methods: {
      /** Ads that pass, in their order, and what they can be chosen by. */
      async ads(_: CallContext, query: AdQuery, lens: string[], most: number): Promise<AdsAnswer> {
        const list = await listOf(lens)
        const maker = await (await through()).maker
        const { found, facets } = list.ask(query)
        return {
          rows: Array.from(found.subarray(0, most), (at) => rowOf(list.ads[at] as AdGroup, maker)),
          found: found.length,
          of: list.ads.length,
          numbers: list.ads.reduce((n, a) => n + a.numbers, 0),
          facets,
        }
      },

      /** Ads that show each of some pictures, at most `most` of each. */
      async adsShowing(_: CallContext, addresses: readonly string[], most: number): Promise<AdRow[][]> {
        const list = await listOf([])
        const maker = await (await through()).maker
        return addresses.map((address) =>
          list.ads
            .filter((a) => a.picture === address)
            .slice(0, most)
            .map((ad) => rowOf(ad, maker)),
        )
      },

      /** Every picture of an ad, once, by its address. */
      adPictures: async (_: CallContext): Promise<string[]> => [
        ...new Set((await listOf([])).ads.flatMap((a) => a.picture ?? [])),
      ],
    },
    forget() {
      groups.forget()
      last = null
    },
  }
}

function rowOf(ad: AdGroup, maker: ItemMaker): AdRow {
  const { listings } = maker.catalog
  for (const key of ad.listings) {
    const [place, row] = [maker.find(key), maker.index().find(key)]
    if (place === null || row === null) continue
    const [market, name] = [textIn(listings, 'market', row), textIn(listings, 'store', row)]
    return {
      ad,
      item: { key: maker.keyAt(place), title: maker.titleAt(place) },
      store: market === null || name === null ? null : { market, name },
    }
  }
  return { ad, item: null, store: null }
}
