import type { Chance } from '../random'
import type { StandinListing } from '../things'
import { chanceOf } from './selling'
import { lastDays, sumOf, type Seen, type StockLook } from './world-make'

/** What is seen of one part of a world; a make takes one of each. */

export const logNormalRates =
  (rate: number, logSd: number): Seen['leaveRate'] =>
  (store) =>
    Math.min(0.95, rate * Math.exp(logSd * chanceOf(store, 0).normal()))

/** In every second store some buyers come again and leave once. */
export const rarerRates =
  (rate: number, logSd: number): Seen['leaveRate'] =>
  (store) =>
    logNormalRates(rate, logSd)(store) * (chanceOf(store, 2).happens(0.5) ? 1 : 0.6)

export const reviewRates =
  (rate: number, logSd: number): Seen['reviewRate'] =>
  (random) =>
    Math.min(0.9, rate * Math.exp(logSd * random.normal()))

/** Heavy tails: normal over the root of a chi-square of three. */
export const wildReviewRates =
  (rate: number, logSd: number): Seen['reviewRate'] =>
  (random) => {
    const chi = [0, 0, 0].reduce((sum) => sum + random.normal() ** 2, 0)
    return Math.min(0.9, rate * Math.exp((logSd * random.normal()) / Math.sqrt(chi)))
  }

/** Days of the last 90 on which stock is looked at. */
type LookDays = (random: Chance) => number[]

/** Some days running, then none for weeks. */
export const clusteredDays: LookDays = (random) => {
  const days: number[] = []
  for (let day = random.whole(0, 5); day < 90; day += random.whole(5, 25))
    for (let run = random.whole(2, 5); run > 0 && day < 90; run--) days.push(day++)
  return days
}
export const everyFewDays: LookDays = (random) => {
  const days: number[] = []
  for (let day = random.whole(0, 3); day < 90; day += random.whole(2, 4)) days.push(day)
  return days
}
/** Gaps as chance makes them, four days in the mean. */
export const anyDays: LookDays = (random) => {
  const days: number[] = []
  for (let day = 0; day < 90; day += 1 + Math.floor(-4 * Math.log(1 - random.next()))) days.push(day)
  return days
}

/** How stock is filled up: what is added before the sales of a day. */
type Restock = (stock: number, perDay: number, day: number, random: Chance) => number

/** Lots of one to two weeks as soon as a tenth of one is left. */
export const smallLots: Restock = (stock, perDay, _day, random) => {
  const lot = Math.max(4, Math.round(perDay * random.between(7, 14)))
  return stock <= lot * 0.1 ? lot : 0
}
/** Up to two weeks' worth every Monday. */
export const everyMonday: Restock = (stock, perDay, day) =>
  day % 7 === 0 ? Math.max(0, Math.max(6, Math.round(perDay * 14)) - stock) : 0
/** A part of what is wanted, whenever it comes; never none left. */
export const nowAndThen: Restock = (stock, perDay, _day, random) => {
  const some = Math.max(3, Math.round(perDay * random.between(5, 40)))
  return stock <= perDay || random.happens(1 / 25) ? some : 0
}

export const stock =
  (looks: LookDays, restock: Restock): Seen['stockLooks'] =>
  (l, random) => {
    const sold = lastDays(l, 90)
    const perDay = sumOf(sold) / 90
    const days = new Set(looks(random))
    let left = Math.max(5, Math.round(perDay * random.between(5, 20)))
    const found: StockLook[] = []
    sold.forEach((units, day) => {
      left += restock(left, perDay, day, random)
      // what sells more than there is was filled up on the same day
      while (left < units) left += Math.max(units, restock(0, perDay, 0, random))
      left -= units
      if (days.has(day)) found.push({ day, stock: left })
    })
    return found
  }

/** @param days of which the sales are ranked @param logSd by which a market blurs them */
export const rankedByUnits =
  (days: number, logSd: number): Seen['rankedBy'] =>
  (l, random) =>
    (sumOf(lastDays(l, days)) + 0.3) * Math.exp(logSd * random.normal())

/** Markets that rank what is dear before what is cheap. */
export const rankedByRevenue =
  (days: number, logSd: number): Seen['rankedBy'] =>
  (l, random) =>
    (sumOf(lastDays(l, days)) + 0.3) * Math.sqrt(l.price) * Math.exp(logSd * random.normal())

/** Offers sell by the time they are shown first, but for some of the buyers and much chance. @param pull 1 in proportion to what they sell */
export const featuredBySales =
  (pull: number, logSd: number): Seen['featured'] =>
  (list: readonly StandinListing[]) => {
    const pulls = list.map((l) => (sumOf(lastDays(l, 30)) + 0.5) ** pull * Math.exp(logSd * chanceOf(l.id, 3).normal()))
    return pulls.map((p) => p / sumOf(pulls))
  }
