import type { Archetype, Kind } from './archetypes'

/** What a made-up world is made of. */

export type TrueStage = 'Ripe' | 'Ripening' | 'Fading' | 'Sprouting' | 'Flash'

/** One goods as it truly is. */
export interface Goods {
  id: number
  archetype: Archetype
  size: string | null
  colour: string | null
  motif: string | null
  pack: number
  gtin: string | null
  /** usual price in EUR of the whole pack, and a supplier's price of one piece */
  price: number
  pieceCost: number
  /** units a day over all markets, before season, weekday and stage */
  demand: number
  stage: TrueStage
  /** where in the 180 days a flash peaks or a sprout begins, 0–1 */
  turn: number
}

export type Variant = Pick<Goods, 'archetype' | 'size' | 'colour' | 'motif' | 'pack'>

export interface Market {
  name: string
  currency: string
  /** EUR → its currency */
  rate: number
  kinds: Kind[]
  /** share of all listings */
  weight: number
  weekly: boolean
}

export interface Store {
  name: string
  market: Market
  since: number
  /** how much of the sales of a goods it draws, and how dear it is */
  pull: number
  priceFactor: number
}

export interface StandinListing {
  id: string
  goods: Goods
  store: Store
  title: string
  /** in the market's currency */
  price: number
  delivery: number
  listedOn: number
  rating: number | null
  reviews: number
  unitsTotal: number
  tags: string[]
  /** units on each of the days; null is a day nobody counted */
  daily: (number | null)[]
}

/** What a supplier tells of itself; some tell nothing. */
export interface SupplierFacts {
  name: string
  /** day since which it trades */
  since: number | null
  goodReviews: number | null
}

export interface StandinOffer {
  id: string
  supplier: string
  facts: SupplierFacts
  /** USD for one piece to look at; null where none is sold */
  sample: number | null
  goods: Goods
  title: string
  /** pieces in the supplier's pack */
  pack: number
  /** USD for one pack from 1, 10 and 50 packs on */
  prices: [number, number, number]
  minOrder: number
  delivery: number
  lead: string
  shipsFrom: string
  stock: number
  orders: number
  rating: number
}
