import { fromFeedback, type Estimate } from '../estimates'
import { activityOf, type CompetingOffer } from '../room'
import { comparable } from './asked-prices'
import type { Assumption } from './assumption'
import { assumptionsOf } from './assumptions'
import { toHome } from './home-amount'
import type { Grade } from './grade'
import type { Item } from './item'
import type { Lens } from './lens'
import { profitAt } from './profit-at'
import type { Corrections, SellerRules } from './rules'
import type { UnpublishedUnits } from './unpublished-units'

/** One who sells an item, from its listings and from the competing offers that name it. Money in E4 of the home currency. */
export interface ItemSeller {
  market: string
  store: string | null
  deliveredE4: number | null
  isDeliveryKnown: boolean
  /** in 30 days, as the listing is known; null where only the offer is */
  units: number | null
  grade: Grade | null
  rating: number | null
  feedback: { days30: number | null; days90: number | null; days365: number | null } | null
  activity: 'selling' | 'quiet' | 'inactive' | null
  /** what the feedback of 30 days says of units, where units are not known otherwise */
  estimate: Estimate | null
  /** how the units were estimated otherwise, where nobody publishes them */
  unpublished: UnpublishedUnits | null
  featured: number | null
  /** what I would earn at this price; below zero this seller is not to be copied */
  myProfitE4: number | null
  /** what that rests on that nobody stated */
  assumed: Assumption[]
  seenOn: number
}

/** All who sell an item, cheapest delivered price first; an offer and a listing of one store on one market are one seller. */
export function itemSellers(
  item: Item,
  offers: readonly CompetingOffer[],
  known: { rules: SellerRules; corrections: Corrections; lens?: Pick<Lens, 'markets'> | null },
): ItemSeller[] {
  const { markets } = known.lens ?? { markets: null }
  const keys = new Set(item.listings.map((l) => l.key))
  const mine = offers.filter(
    (o) =>
      (markets === null || markets.includes(o.market)) &&
      (keys.has(`${o.market}/${o.id}`) || (item.gtin !== null && o.gtin === item.gtin)),
  )
  const byStore = new Map(mine.map((o) => [`${o.market}/${o.store}`, o]))
  const listed = item.listings.map((l): ItemSeller => {
    const offer = byStore.get(`${l.market}/${l.store ?? ''}`) ?? null
    byStore.delete(`${l.market}/${l.store ?? ''}`)
    return {
      market: l.market,
      store: l.store,
      deliveredE4: l.deliveredE4,
      isDeliveryKnown: l.isDeliveryKnown,
      units: l.units,
      grade: l.grade,
      unpublished: l.unpublished,
      rating: l.rating,
      seenOn: l.capturedOn,
      ...signsOf(offer, l.units),
    }
  })
  const others = [...byStore.values()].map((o): ItemSeller => {
    const home = toHome(o.currency, known.rules)
    const price = home(o.priceE4)
    return {
      market: o.market,
      store: o.store,
      deliveredE4: price === null ? null : price + (home(o.deliveryE4) ?? 0),
      isDeliveryKnown: o.deliveryE4 !== null,
      units: null,
      grade: null,
      unpublished: null,
      rating: o.rating,
      seenOn: o.seenOn,
      ...signsOf(o, null),
    }
  })
  const all = [...listed, ...others].sort((a, b) => (a.deliveredE4 ?? Infinity) - (b.deliveredE4 ?? Infinity))
  return withProfit(item, all, known)
}

function signsOf(offer: CompetingOffer | null, units: number | null) {
  if (!offer) return { feedback: null, activity: null, estimate: null, featured: null, myProfitE4: null, assumed: [] }
  const { feedback30, feedback90, feedback365, featured } = offer
  return {
    feedback: { days30: feedback30, days90: feedback90, days365: feedback365 },
    activity: activityOf(offer),
    estimate: units === null && feedback30 !== null ? fromFeedback(feedback30) : null,
    featured,
    myProfitE4: null,
    assumed: [],
  }
}

function withProfit(
  item: Item,
  sellers: readonly ItemSeller[],
  known: { rules: SellerRules; corrections: Corrections },
): ItemSeller[] {
  const markets = [...new Set(sellers.map((s) => s.market))]
  const found = new Map(
    markets.map((market) => {
      const compared = comparable(sellers.filter((s) => s.market === market)).list
      const profits = profitAt(
        item,
        market,
        compared.map((s) => s.deliveredE4 as number),
        known,
      )
      const assumed = assumptionsOf(item, market, known)
      return [market, { profits: new Map(compared.map((s, i) => [s, profits[i] as number | null])), assumed }]
    }),
  )
  return sellers.map((s) => ({
    ...s,
    myProfitE4: found.get(s.market)?.profits.get(s) ?? null,
    assumed: found.get(s.market)?.assumed ?? [],
  }))
}
