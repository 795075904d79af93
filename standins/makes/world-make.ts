import type { Archetype } from '../archetypes'
import type { Chance } from '../random'
import type { Goods, StandinListing, Variant } from '../things'

/** How sellers of a world write. */
export interface Writing {
  /** @param sloppiness 1 as sellers do, less as suppliers do */
  title: (goods: Variant, random: Chance, sloppiness?: number) => string
  /** a pack in words; null where it is not mentioned */
  pack: (pieces: number, random: Chance) => string | null
}

/** How a world sells. */
export interface Selling {
  /** units a day of a goods over all markets, before season, weekday and stage */
  demand: (random: Chance) => number
  /** share of listings that nobody buys */
  dead: number
  /** units on each day. @param expected of a day, counted from the first on */
  days: (expected: (day: number) => number, days: number, random: Chance) => number[]
}

/** What is seen of sales in a world. Each follows from the listing alone. */
export interface Seen {
  /** share of a store's buyers who leave feedback, 0–1 */
  leaveRate: (store: string) => number
  /** share of a listing's buyers who leave a review, 0–1 */
  reviewRate: (random: Chance) => number
  /** stock over the last 90 days, by day from 0 on */
  stockLooks: (l: StandinListing, random: Chance) => StockLook[]
  /** what a market ranks by: the more the better */
  rankedBy: (l: StandinListing, random: Chance) => number
  /** shares of time that each offer of one item is shown first */
  featured: (list: readonly StandinListing[]) => number[]
}

export interface StockLook {
  day: number
  stock: number
}

/** A make of world: what is sold, how it is written, how it sells and what is seen of it. */
export interface WorldMake {
  name: string
  archetypes: readonly Archetype[]
  /** colours that any thing may also come in */
  moreColours: readonly string[]
  writing: Writing
  selling: Selling
  seen: Seen
}

/** Units of the last days of a listing, a day that nobody counted as none. */
export const lastDays = (l: StandinListing, days: number): number[] => l.daily.slice(-days).map((n) => n ?? 0)

export const sumOf = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0)

/** A number of the maker for a goods: what is alike but for it does not exist. */
export const modelOf = ({ archetype, size, colour }: Pick<Goods, 'archetype' | 'size' | 'colour'>): string => {
  const seed = [...`${archetype.noun}${size}${colour}`].reduce((sum, c) => (sum * 31 + c.charCodeAt(0)) >>> 0, 7)
  return `${'BCDFGHKLMN'.charAt(seed % 10)}${'RSTVXZ'.charAt(seed % 6)}-${100 + (seed % 899)}`
}
