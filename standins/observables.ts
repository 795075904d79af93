import { clipsAbout, type StandinClip } from './creators'
import type { Seen, StockLook } from './makes/world-make'
import { chance, type Chance } from './random'
import type { World } from './world'
import type { StandinListing } from './things'

/** What a market shows of a listing whose true sales the made-up world knows. Each follows from the listing's number alone. */

const seedOf = (text: string) => [...text].reduce((sum, c) => (sum * 31 + c.charCodeAt(0)) >>> 0, 7)

export function trueUnits(l: StandinListing, days: number): number {
  return l.daily.slice(-days).reduce<number>((sum, n) => sum + (n ?? 0), 0)
}

/** Feedback left in the last 30, 90 and 365 days; beyond what the world remembers at the pace of what it does. */
export function feedbackOf(l: StandinListing, seen: Seen): { days30: number; days90: number; days365: number } {
  const random = chance(Number(l.id) * 3 + 1)
  const rate = seen.leaveRate(l.store.name)
  const days30 = thinned(trueUnits(l, 30), rate, random)
  const days90 = days30 + thinned(trueUnits(l, 90) - trueUnits(l, 30), rate, random)
  const rest = trueUnits(l, l.daily.length)
  const year = Math.max(days90, Math.round(((rest * 365) / l.daily.length) * rate))
  return { days30, days90, days365: year }
}

/** Rise of the review count over 90 days. */
export function reviewRiseOf(l: StandinListing, seen: Seen): number {
  const random = chance(Number(l.id) * 5 + 3)
  return thinned(trueUnits(l, 90), seen.reviewRate(random), random)
}

/** Stock as it was seen now and then over the last 90 days. */
export const stockLooksOf = (l: StandinListing, seen: Seen): StockLook[] =>
  seen.stockLooks(l, chance(Number(l.id) * 7 + 5))

/** Ranks on a market: the order of what sold, as blurred as markets blur it. */
export function ranksOf({ listings, make }: World, market: string): Map<string, number> {
  const random = chance(seedOf(market))
  const list = listings
    .filter((l) => l.store.market.name === market)
    .map((l) => ({ id: l.id, by: make.seen.rankedBy(l, random) }))
    .sort((a, b) => b.by - a.by)
  return new Map(list.map(({ id }, i) => [id, i + 1]))
}

/**
 * How a listing was put up. Truth: promoted listings and those that end in the evening sell more often; how long they run makes
 * no difference.
 */
export function choicesOf(l: StandinListing): { durationDays: number; promotion: string; endHour: number } {
  const random = chance(Number(l.id) * 11 + 7)
  const sold = trueUnits(l, 30) > 0
  return {
    durationDays: random.pick([3, 5, 7, 10]),
    promotion: random.happens(sold ? 0.3 : 0.12) ? random.pick(['top of list', 'bold title']) : 'none',
    endHour: random.happens(sold ? 0.45 : 0.25) ? random.whole(18, 21) : random.whole(6, 23),
  }
}

/** Share of the price that the social shop gives to those who promote a listing. */
export function commissionOf(l: StandinListing): number {
  return chance(Number(l.id) * 13 + 1).pick([0.08, 0.1, 0.12, 0.15, 0.15, 0.2, 0.25])
}

/** How many creators promote a listing, as the social shop counts them: more where more is sold, by a factor of three either way. */
export function creatorsOf(l: StandinListing): number {
  const random = chance(Number(l.id) * 19 + 11)
  return Math.round((trueUnits(l, 90) + 1) * Math.exp(0.6 * random.normal()) * 0.8)
}

/** Some sellers on the general market do not show what they sell: only its rank tells. */
export function hidesSales(l: StandinListing): boolean {
  return l.store.market.name === 'Marrowgate' && Number(l.id) % 29 === 0
}

/** Where a store is: that follows from its name. */
export function countryOf(store: string): string {
  return chance(seedOf(store) + 5).pick(['IE', 'IE', 'NL', 'PT', 'PL', 'DE'])
}

/** A few clips about a listing; together they sold about a quarter of its units. */
export function clipsOf(l: StandinListing): StandinClip[] {
  const sold = trueUnits(l, 90)
  const seed = Number(l.id) * 23 + 17
  return clipsAbout({
    seed,
    count: Math.min(9, chance(seed).poisson(0.4 + sold / 60)),
    units: sold / 4,
    topic: l.goods.archetype.category.split('/')[0] ?? '',
  })
}

function thinned(units: number, rate: number, random: Chance): number {
  let kept = 0
  for (let i = 0; i < units; i++) if (random.happens(rate)) kept++
  return kept
}
