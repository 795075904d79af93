import { readFileSync } from 'node:fs'
import { chance } from '../../standins/random'
import {
  allWeeks,
  isSeason,
  mannKendall,
  pettitt,
  sameListings,
  scatteredGrowth,
  seasonOf,
  stageOfLife,
  theilSenSlope,
  type UnitSeries,
} from '.'

/** Made by scripts/fixtures/orange-course.R: bayesm's `orangeJuice`, 121 weeks of 11 brands in 83 shops. The first day is made up. */
const { brands } = JSON.parse(readFileSync(new URL('./fixtures/r-orange.json', import.meta.url), 'utf8')) as {
  brands: {
    brand: number
    weeks: (number | null)[]
    s: number
    variance: number
    sen: number
    k: number
    p: number
  }[]
}
const seriesOf = (weeks: readonly (number | null)[]): UnitSeries => ({
  start: 7196,
  stepDays: 7,
  values: Float64Array.from(weeks, (v) => v ?? NaN),
})

test.each(brands)('real sales of brand $brand: trend and change of level are R’s', (ref) => {
  const weeks = allWeeks(seriesOf(ref.weeks))
  const trend = mannKendall(weeks)
  expect(trend?.s).toBe(ref.s)
  expect(trend?.variance).toBeCloseTo(ref.variance, 6)
  expect(theilSenSlope(weeks)).toBeCloseTo(ref.sen, 8)
  const level = pettitt(weeks)
  expect(level?.k).toBe(ref.k)
  expect(level?.p).toBeCloseTo(ref.p, 10)
})

/** The weeks of every brand in an order of chance: sales as lively as real ones, without season, trend or change. */
function shuffled(times: number): UnitSeries[] {
  const random = chance(20_261_126)
  return Array.from({ length: times }, () =>
    brands.map(({ weeks }) => {
      const order = [...weeks]
      for (let i = order.length - 1; i > 0; i--) {
        const j = random.whole(0, i)
        ;[order[i], order[j]] = [order[j] as number | null, order[i] as number | null]
      }
      return seriesOf(order)
    }),
  ).flat()
}

test('real weeks in an order of chance have no season, no movement, and growth that is none', () => {
  const all = shuffled(20)
  const lives = all.flatMap((series) => stageOfLife([series]) ?? [])
  const share = (of: (life: (typeof lives)[number]) => boolean) => lives.filter(of).length / lives.length
  const seasons = all.filter((series) => {
    const season = seasonOf(series)
    return season && isSeason(season, 0.64)
  })
  expect(seasons.length / all.length).toBeLessThanOrEqual(0.05)
  expect(share((l) => ['Ripening', 'Sprouting', 'Fading', 'Flash'].includes(l.stage))).toBeLessThanOrEqual(0.1)
  const sure = share((l) => (l.growthLow ?? -1) > 0 || (l.growthHigh ?? Infinity) < 0)
  expect(sure).toBeLessThanOrEqual(0.1)
  // counting alone is sure of nearly all of it
  const counted = all.filter((series) => {
    const { later, earlier } = sameListings([series], 28)
    const { low, high } = scatteredGrowth(later, earlier, 1, 0, 1)
    return (low ?? -1) > 0 || (high ?? Infinity) < 0
  })
  expect(counted.length / all.length).toBeGreaterThan(0.9)
})
