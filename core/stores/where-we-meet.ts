import type { Catalog } from '../catalog'
import { isSameGoods, type OwnGoods, type OwnMatch, type OwnWay } from '../own'
import type { CompetingOffer } from '../room'
import type { StoreListing } from './store-listing'

/** A thing that a store sells and I sell too. Money in E4 of the home currency. */
export interface Meeting {
  listing: StoreListing
  own: number
  way: OwnWay
  myPriceE4: number | null
  /** share of time that this store's offer is featured, and whose is featured most, where a market says so */
  featured: number | null
  leader: { store: string; featured: number; priceE4: number | null } | null
}

export interface MeetingOptions {
  catalog: Pick<Catalog, 'itemOf'>
  name: string
  market: string
  own: readonly OwnGoods[]
  matches: ReadonlyMap<number, OwnMatch>
  offers: readonly CompetingOffer[]
  /** key of a listing → its row; null where there is none */
  find: (key: string) => number | null
  /** an amount of a currency in E4 of the home currency */
  home: (currency: string | null, e4: number) => number | null
}

/** The goods that a store and I both sell, its best sellers first; likely ones and other packs are not among them. */
export function whereWeMeet(listings: readonly StoreListing[], options: MeetingOptions): Meeting[] {
  const { own, matches, name } = options
  const offersOf = offersByItem(options)
  const met = listings.flatMap((listing): Meeting[] => {
    const match = matches.get(listing.item)
    if (!match || !isSameGoods(match.way)) return []
    const offers = offersOf.get(listing.item) ?? []
    const first = offers.reduce<CompetingOffer | null>(
      (best, o) => ((o.featured ?? -1) > (best?.featured ?? -1) ? o : best),
      null,
    )
    return [
      {
        listing,
        own: match.own,
        way: match.way,
        myPriceE4: own[match.own]?.priceE4 ?? null,
        featured: offers.find((o) => o.store === name)?.featured ?? null,
        leader:
          first?.featured == null
            ? null
            : { store: first.store, featured: first.featured, priceE4: options.home(first.currency, first.priceE4) },
      },
    ]
  })
  return met.sort((a, b) => (b.listing.units ?? -1) - (a.listing.units ?? -1))
}

function offersByItem({ catalog, market, offers, find }: MeetingOptions): Map<number, CompetingOffer[]> {
  const byItem = new Map<number, CompetingOffer[]>()
  for (const offer of offers) {
    if (offer.market !== market) continue
    const row = find(`${offer.market}/${offer.id}`)
    if (row === null) continue
    const item = catalog.itemOf[row] as number
    const list = byItem.get(item)
    if (list) list.push(offer)
    else byItem.set(item, [offer])
  }
  return byItem
}
