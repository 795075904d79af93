import { chance, type Chance } from '../random'
import type { Selling } from './world-make'

/** Poisson about gamma-like levels: weeks of offers sell three times as much, one in eight. */
export const promotions: Selling = {
  // a few goods sell nearly everything
  demand: (random) => Math.min(120, 0.35 * (1 - random.next()) ** (-1 / 1.1)),
  dead: 0.35,
  days: (expected, days, random) => {
    let level = 1
    return Array.from({ length: days }, (_, d) => {
      if (d % 7 === 0) level = (random.happens(1 / 8) ? 3 : 1) / 1.25
      return random.poisson(expected(d) * level)
    })
  },
}

/** Days as uneven as a negative binomial's, and spells in which it is sold out. */
export const unevenDays: Selling = {
  demand: (random) => Math.min(60, Math.exp(0.1 + 1 * random.normal())),
  dead: 0.1,
  days: (expected, days, random) => {
    const out = random.happens(0.15) ? random.whole(5, days - 15) : -1
    const until = out < 0 ? -1 : out + random.whole(5, 12)
    return Array.from({ length: days }, (_, d) =>
      d >= out && d < until ? 0 : random.poisson(expected(d) * gamma(1.5, random)),
    )
  },
}

/** Orders of two in the mean, in weeks that pull on each other. */
export const severalAtOnce: Selling = {
  demand: (random) => Math.min(60, Math.exp(-0.2 + 1.3 * random.normal())),
  dead: 0.25,
  days: (expected, days, random) => {
    let log = 0
    return Array.from({ length: days }, (_, d) => {
      if (d % 7 === 0) log = 0.6 * log + 0.3 * random.normal()
      let units = 0
      for (let orders = random.poisson((expected(d) * Math.exp(log)) / 2); orders > 0; orders--) {
        units++
        while (random.happens(0.5)) units++
      }
      return units
    })
  },
}

/** Gamma-distributed with mean 1. Source: Marsaglia & Tsang 2000, ACM TOMS 26, 363–372. @param shape 1 or more */
function gamma(shape: number, random: Chance): number {
  const d = shape - 1 / 3
  const c = 1 / Math.sqrt(9 * d)
  for (;;) {
    const x = random.normal()
    const v = (1 + c * x) ** 3
    if (v > 0 && Math.log(1 - random.next()) < 0.5 * x ** 2 + d - d * v + d * Math.log(v)) return (d * v) / shape
  }
}

/** Chance that belongs to a name. */
export const chanceOf = (name: string, salt: number): Chance =>
  chance([...name].reduce((sum, c) => (sum * 31 + c.charCodeAt(0)) >>> 0, 7) + salt)
