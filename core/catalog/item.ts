import type { ProportionInterval, Stage, StageOfLife, UnitSeries } from '../demand'
import type { OfferChoice, OfferMatch } from '../supply'
import type { Room } from '../room'
import type { Worth } from '../verdict'
import type { Assumption } from './assumption'
import type { ListingStatus } from '../clear'
import type { Grade } from './grade'
import type { Reach } from './item-reach'
import type { StatedValues } from './listing-fields'
import type { GoodsKind } from './rules'
import type { UnpublishedUnits } from './unpublished-units'

/** One listing of an item with its figures in the home currency. */
export interface MemberListing {
  key: string
  market: string
  id: string
  title: string
  gtin: string | null
  store: string | null
  priceE4: number | null
  deliveryE4: number | null
  /** price and delivery; where delivery is not stated, the price alone */
  deliveredE4: number | null
  isDeliveryKnown: boolean
  /** as the market states it */
  original: { priceE4: number; currency: string } | null
  units: number | null
  grade: Grade | null
  /** how the units were estimated, where no sales figure is known */
  unpublished: UnpublishedUnits | null
  rating: number | null
  reviews: number | null
  listedOn: number | null
  tags: string | null
  /** a web page, http or https; null where none is known */
  url: string | null
  series: UnitSeries | null
  capturedOn: number
}

/** What an item would earn on one market at the lowest competing delivered price. */
export interface MarketProfit {
  market: string
  lowestE4: number
  /** delivery is in the lowest price; else nobody there states it, and it is the price alone */
  isDelivered: boolean
  profitE4: number | null
  margin: number | null
  /** what it rests on that nobody stated */
  assumed: Assumption[]
}

/** The same goods over all markets, with what its listings state and every figure a screen shows. Money in the home currency. */
export interface Item extends StatedValues {
  /** key of its first listing: stays when others join or leave */
  key: string
  title: string
  kind: GoodsKind
  pack: number
  packFrom: string | null
  listings: MemberListing[]
  markets: string[]
  sellers: number
  priceLowE4: number | null
  priceHighE4: number | null
  /** last day of the windows below */
  windowEnd: number
  units: number | null
  unitsGrade: Grade | null
  /** listings whose units are counted or reported, or scaled from that: those that sell-through is of */
  unitsKnown: number
  revenueE4: number | null
  sellThrough: ProportionInterval | null
  unitsPerListing: number | null
  reach: Reach
  /** whether it may be listed, by lists or by the seller's own word */
  clearing: ListingStatus
  series: UnitSeries | null
  life: StageOfLife | null
  stage: Stage
  room: Room
  offers: OfferMatch[]
  /** the offer that is reckoned with, and what it was chosen from */
  offer: OfferMatch | null
  choice: OfferChoice
  offerPack: number
  landedE4: number | null
  profits: MarketProfit[]
  /** the market where it earns most */
  best: MarketProfit | null
  worth: Worth
}

/** The market on which an item earns most, or the first that it is on where no profit is known. */
export const bestMarketOf = (item: Pick<Item, 'best' | 'markets'>): string =>
  item.best?.market ?? (item.markets[0] as string)
