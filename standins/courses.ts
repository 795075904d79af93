import { chance, type Chance } from './random'

/** A make of sales over time by which words and intervals are judged: how much more or less than usual is sold, week by week. */
export interface CourseMake {
  name: string
  /** thresholds were found on it; the others are kept aside */
  isTuned: boolean
  /** the level of the next week, 1 is as usual */
  levels: (random: Chance) => () => number
  /** units of a day on which so many are expected */
  day?: (mean: number, random: Chance) => number
}

/** Weekly swings whose logarithm pulls on the next week's. @param sd of the logarithm, once it has settled */
function swings(pull: number, sd: number): CourseMake['levels'] {
  return (random) => {
    let log = sd * random.normal()
    const own = sd * Math.sqrt(1 - pull ** 2)
    return () => Math.exp((log = pull * log + own * random.normal()) - sd ** 2 / 2)
  }
}
const even: CourseMake['levels'] = () => () => 1

export const courseMakes: readonly CourseMake[] = [
  { name: 'Poisson', isTuned: true, levels: even },
  { name: 'weekly swings (AR 0.6, sd 0.5)', isTuned: true, levels: swings(0.6, 0.5) },
  { name: 'smaller swings (AR 0.4, sd 0.3)', isTuned: false, levels: swings(0.4, 0.3) },
  { name: 'slow swings (AR 0.8, sd 0.4)', isTuned: false, levels: swings(0.8, 0.4) },
  {
    name: 'promotions: one week in eight sells three times as much',
    isTuned: false,
    levels: (random) => () => (random.happens(1 / 8) ? 3 : 1) / 1.25,
  },
  {
    name: 'orders of several at once (geometric, three in the mean)',
    isTuned: false,
    levels: even,
    day: (mean, random) => {
      let units = 0
      for (let orders = random.poisson(mean / 3); orders > 0; orders--) {
        units++
        while (random.happens(2 / 3)) units++
      }
      return units
    },
  },
  {
    name: 'days of gamma-like levels (log-sd 0.6), weekends twice',
    isTuned: false,
    levels: even,
    day: (() => {
      let n = 0
      return (mean: number, random: Chance) =>
        random.poisson(mean * (n++ % 7 < 5 ? 7 / 9 : 14 / 9) * Math.exp(0.6 * random.normal() - 0.18))
    })(),
  },
]

/** Daily units of one make. @param change its level is so many times the one before, from so many days before the end on */
export function course(
  { levels, day = (mean, random) => random.poisson(mean) }: CourseMake,
  {
    perDay,
    days,
    seed,
    change,
  }: { perDay: number; days: number; seed: number; change?: { daysAgo: number; times: number } },
): Float64Array {
  const random = chance(seed)
  const next = levels(random)
  let level = 1
  return Float64Array.from({ length: days }, (_, d) => {
    if (d % 7 === 0) level = next()
    const times = change && d >= days - change.daysAgo ? change.times : 1
    return day(perDay * level * times, random)
  })
}
