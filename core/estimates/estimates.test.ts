import { readFileSync } from 'node:fs'
import { leaveWorlds, type LeaveWorld } from '../../standins/leave-worlds'
import { chance } from '../../standins/random'
import {
  learnedRate,
  fromFeedback,
  fromLog,
  fromRank,
  fromReviews,
  fromStock,
  rankCurve,
  runRate,
  storeSales,
  z80,
  type Estimate,
} from '.'
import { logistic } from './logistic'
import { heldShare } from './judged-rates'

/** Made by scripts/fixtures/estimates.py with statsmodels. */
const s = JSON.parse(readFileSync(new URL('./fixtures/statsmodels.json', import.meta.url), 'utf8')) as {
  pairs: { rank: number; units: number }[]
  intercept: number
  slope: number
  residualSd: number
  asked: { rank: number; units: number; low: number; high: number }[]
}

test('the rank line and its 80 % prediction interval are those of statsmodels’ OLS', () => {
  // a hundred times as many of all, so that none is too few: the line lies ln 100 higher
  const pairs = s.pairs.map(({ rank, units }) => ({ rank, units: 100 * units }))
  const curve = rankCurve(pairs)
  if (!curve) throw new Error('no line')
  expect(curve.selling).toBeNull()
  expect(curve.intercept).toBeCloseTo(s.intercept + Math.log(100), 9)
  expect(curve.slope).toBeCloseTo(s.slope, 9)
  expect(curve.residualSd).toBeCloseTo(s.residualSd, 9)
  for (const { rank, units, low, high } of s.asked) {
    const found = fromRank(rank, curve) as Estimate
    for (const [ours, theirs] of [
      [found.units, units],
      [found.low, low],
      [found.high, high],
    ] as const)
      expect(ours / theirs / 100).toBeCloseTo(1, 6)
  }
  expect(rankCurve(pairs.slice(0, 7))).toBeNull()
  expect(rankCurve(pairs.map((p) => ({ ...p, rank: 5 })))).toBeNull()
  // fewer than eight that sell well are no line either
  expect(rankCurve(pairs.map((p, i) => (i < pairs.length - 7 ? { ...p, units: 0 } : p)))).toBeNull()
  // where lower ranks sell less, the rank is not by sales
  expect(rankCurve(pairs.map((p) => ({ ...p, rank: 10_000 / p.rank })))).toBeNull()
})

test('of pairs those alone count that have a rank, and five units or more', () => {
  const pairs = Array.from({ length: 8 }, (_, i) => ({ rank: i + 1, units: 40 - 5 * i }))
  const curve = rankCurve(pairs)
  if (!curve) throw new Error('no line')
  expect(curve.of).toBe(8)
  // a rank below one, and units below none, are none
  for (const odd of [
    { rank: 0, units: 9 },
    { rank: 0.5, units: 9 },
    { rank: 9, units: -1 },
  ])
    expect(rankCurve([...pairs, odd])).toEqual(curve)
  // five units are enough, four are not: seven are left
  expect(rankCurve(pairs.map((p) => (p.rank === 8 ? { ...p, units: 4 } : p)))).toBeNull()
  // a flat line is no rank by sales
  expect(rankCurve(pairs.map((p) => ({ ...p, units: 20 })))).toBeNull()
  // before the first there is none
  expect(fromRank(0.01, curve)).toEqual(fromRank(1, curve))
})

test('where as many sell well as do not, there is no typical figure; where one in ten does not, the tenth is none', () => {
  const base = { intercept: 5, slope: -0.5, residualSd: 0.2, of: 20, meanLogRank: 2, spread: 9, smear: 1.1 }
  expect(fromRank(1, { ...base, selling: { intercept: 0, slope: -1 } })).toBeNull()
  const nine = fromRank(1, { ...base, selling: { intercept: Math.log(8.9), slope: -1 } })
  expect(nine?.low).toBe(0)
  expect(nine?.mean).toBeCloseTo((8.9 / 9.9) * Math.exp(5) * 1.1, 9)
  expect(fromRank(1, { ...base, selling: { intercept: Math.log(9.1), slope: -1 } })?.low).toBeGreaterThan(0)
})

/** Made by scripts/fixtures/ranks.R. */
const r = JSON.parse(readFileSync(new URL('./fixtures/r-ranks.json', import.meta.url), 'utf8')) as {
  pairs: { rank: number; units: number }[]
  smear: number
  intercept: number
  slope: number
  asked: { rank: number; sells: number; mean: number; low: number; units: number; high: number }[]
}

test('listings that sell little count: the way back from logs is Duan’s, the chance to sell well is R’s glm', () => {
  const curve = rankCurve(r.pairs)
  if (!curve) throw new Error('no line')
  expect(curve.smear).toBeCloseTo(r.smear, 9)
  expect(curve.selling?.intercept).toBeCloseTo(r.intercept, 7)
  expect(curve.selling?.slope).toBeCloseTo(r.slope, 7)
  for (const { rank, mean, low, units, high } of r.asked) {
    const found = fromRank(rank, curve) as Estimate
    expect(found.mean / mean).toBeCloseTo(1, 7)
    expect(found.low).toBeCloseTo(low, 5)
    expect(found.units / units).toBeCloseTo(1, 6)
    expect(found.high / high).toBeCloseTo(1, 6)
  }
  // where most sell next to nothing there is no typical figure
  expect(fromRank(10_000, curve)).toBeNull()
  expect(logistic([1, 2, 3, 4], [true, true, false, false])).toBeNull()
  // ranks that part those that sell from those that do not: between the last and the first
  const sold = Array.from({ length: 9 }, (_, i) => ({ rank: i + 1, units: 90 - 9 * i }))
  const parted = rankCurve([...sold, { rank: 36, units: 0 }, { rank: 50, units: 0 }])
  if (!parted) throw new Error('no line')
  expect(fromRank(17, parted)).not.toBeNull()
  expect(fromRank(19, parted)).toBeNull()
  // the other way round it is no rank by sales
  expect(rankCurve([...sold.map((p) => ({ ...p, rank: p.rank + 60 })), { rank: 36, units: 0 }])).toBeNull()
})

test('feedback: twice what was left at a rate of a half; less is surer of more; none still allows for a few', () => {
  const many = fromFeedback(200)
  expect(many.mean).toBe(400)
  expect(many.units).toBeCloseTo(401, 0)
  // by hand: log 401 ± 1.2816 × √(0.5 / 200.5 + 0.7²)
  expect(many.high).toBeCloseTo(401 * Math.exp(z80 * Math.sqrt(0.5 / 200.5 + 0.7 ** 2)), 6)
  const few = fromFeedback(2)
  expect(few.high / few.low).toBeGreaterThan(many.high / many.low)
  expect(fromFeedback(0)).toMatchObject({ mean: 0, units: 1 })
  expect(fromReviews(18).mean).toBeCloseTo(100, 9)
})

test('an estimate: its mean is that of a log-normal where nobody says another', () => {
  // e^(ln 10 + 0.5² / 2), Aitchison & Brown 1957
  expect(fromLog('stock', Math.log(10), 0.5).mean).toBeCloseTo(10 * Math.exp(0.125), 9)
  expect(fromLog('stock', Math.log(10), 0.5, 7).mean).toBe(7)
})

test('a leave rate is never above all, nor is any so even that five in a hundred are too many', () => {
  const usual = { rate: 0.5, logSd: 0.01 }
  const more = learnedRate(Array(50).fill({ left: 1e6, sold: 1e5 }), usual)
  expect(more.rate).toBe(1)
  const alike = learnedRate(Array(40).fill({ left: 5e8, sold: 1e9 }), usual)
  expect(alike.logSd).toBeCloseTo(0.05 * Math.sqrt(1 + 1 / 41), 9)
  // five buyers tell of a rate, four do not; nobody who left something does, fewer than nobody do not
  // of one pair Student's t of three and one degrees of freedom tells how far to reach: 1.533206 (from memory; R: qt(0.9, 4))
  expect(learnedRate([{ left: 0, sold: 5 }], usual).reach).toBeCloseTo(1.533206, 5)
  expect(learnedRate([{ left: 0, sold: 4 }], usual)).toBe(usual)
  expect(learnedRate([{ left: -1, sold: 50 }], usual)).toBe(usual)
})

test('stock: falls are sales, a rise or a long gap hides what sold and is filled at the pace of the rest', () => {
  const looks = [
    [0, 50],
    [3, 44],
    [6, 40],
    [9, 90],
    [12, 84],
  ].map(([day, stock]) => ({ day, stock })) as { day: number; stock: number }[]
  const found = fromStock(looks)
  // by hand: 6 + 4 + 6 over nine days; three days hidden
  expect(found).toMatchObject({ fallen: 16, judgedDays: 9, hiddenDays: 3, restocks: 1 })
  expect(found.estimate?.units).toBeCloseTo(16.5 * (12 / 9), 9)
  expect(fromStock([...looks].reverse())).toEqual(found)
  expect(
    fromStock([
      { day: 0, stock: 9 },
      { day: 30, stock: 2 },
    ]),
  ).toMatchObject({ hiddenDays: 30, estimate: null })
  expect(fromStock([{ day: 0, stock: 9 }]).estimate).toBeNull()
})

test('a store: parts weighed by how long they were featured; what all share does not average out', () => {
  const item = (units: number, featured: number) => ({
    units: fromLog('feedback', Math.log(units), 0.3, units),
    featured,
  })
  const many = Array.from({ length: 100 }, () => item(10, 0.5))
  expect(storeSales(many)?.mean).toBeCloseTo(500, 9)
  expect(storeSales(many)?.logSd).toBeLessThan(0.04)
  expect(storeSales(many, 0.25)?.logSd).toBeGreaterThan(0.25)
  expect(storeSales([item(10, 1)])?.logSd).toBeCloseTo(0.3, 2)
  // of one item shared and own spread make its own again; of two the shared part stays whole
  expect(storeSales([item(10, 1)], 0.25)?.logSd).toBeCloseTo(0.3, 3)
  const own = Math.log1p((2 * 25 * Math.expm1(0.3 ** 2 - 0.25 ** 2)) / 10 ** 2)
  expect(storeSales([item(10, 0.5), item(10, 0.5)], 0.25)?.logSd).toBeCloseTo(Math.sqrt(own + 0.25 ** 2), 9)
  expect(storeSales([item(9, 0)])).toBeNull()
  // the trade's quarter × 4, to rounding (common practice, no source)
  expect(runRate(250, 91.25)).toBeCloseTo(1000, 9)
})

test('a leave rate is learned from pairs: its middle, its spread, and the chance of counting taken off', () => {
  const usual = { rate: 0.5, logSd: 0.5 }
  expect(learnedRate([], usual)).toBe(usual)
  expect(learnedRate([{ left: 1, sold: 3 }], usual)).toBe(usual)
  const alike = Array.from({ length: 40 }, () => ({ left: 3000, sold: 10_000 }))
  const learned = learnedRate(alike, usual)
  expect(learned.rate).toBeCloseTo(0.3, 1)
  expect(learned.logSd).toBeLessThan(0.25)
  // forty alike are missed by next to nothing: half of Student's t of 43 is left, 1.301552 (R: qt(0.9, 43))
  expect(learned.reach).toBeCloseTo((1.301552 + Math.abs(missed(3000, 10_000, learned))) / 2, 4)
  // by hand, two pairs of rates 0.25 and 1: both logs mean log 0.5, so nothing moves, and the spread is that of the logs
  // beside half of the usual variance, worth three pairs; the middle is known from two and one
  const two = learnedRate(
    [
      { left: 25e6, sold: 1e8 },
      { left: 1e8, sold: 1e8 },
    ],
    usual,
  )
  expect(two.rate).toBeCloseTo(0.5, 6)
  expect(two.logSd).toBeCloseTo(Math.sqrt(((3 * 0.125 + 2 * Math.log(2) ** 2) / 5) * (1 + 1 / 3)), 4)
  // of pairs that lie off the middle moves: two that say a quarter against one that is believed to say a half
  const quarter = learnedRate(Array(2).fill({ left: 25e6, sold: 1e8 }), usual)
  expect(Math.log(quarter.rate)).toBeCloseTo((Math.log(0.5) + 2 * Math.log(0.25)) / 3, 6)
  expect(quarter.logSd).toBeCloseTo(Math.sqrt(((3 * 0.125 + (2 / 3) * Math.log(2) ** 2) / 5) * (4 / 3)), 4)
  // few that left something weigh less: by 1 / (0.125 + 0.5 / (left + 0.5))
  const uneven = learnedRate(
    [
      { left: 2, sold: 40 },
      { left: 800, sold: 1000 },
    ],
    usual,
  )
  const [few, many] = [1 / (0.125 + 0.5 / 2.5), 1 / (0.125 + 0.5 / 800.5)]
  const mean = (few * Math.log(2.5 / 40.5) + many * Math.log(800.5 / 1000.5)) / (few + many)
  expect(Math.log(uneven.rate)).toBeCloseTo((Math.log(0.5) + 2 * mean) / 3, 9)
  // an interval reaches as far as was learned, and as a normal where nothing was
  const wide = fromFeedback(500, { ...usual, reach: 2 })
  const spread = Math.sqrt(0.5 / 500.5 + 0.25)
  expect(Math.log(wide.high / wide.units)).toBeCloseTo(2 * spread, 9)
  expect(Math.log(wide.units / wide.low)).toBeCloseTo(2 * spread, 9)
  expect(wide.logSd).toBeCloseTo((2 / z80) * spread, 9)
  expect(fromFeedback(500, usual).logSd).toBeCloseTo(spread, 9)
})

/** By how many of its spreads an estimate from feedback misses what was sold, in whole units. */
function missed(left: number, sold: number, rate: { rate: number; logSd: number }): number {
  const spread = Math.sqrt((1 - rate.rate) / (left + 0.5) + rate.logSd ** 2)
  const middle = Math.log((left + 0.5) / rate.rate)
  return Math.max(0, middle - Math.log(sold + 0.5), Math.log(sold - 0.5) - middle) / spread
}

test('how far an interval from a leave rate reaches goes by the rank among the pairs, from eight on', () => {
  const usual = { rate: 0.5, logSd: 0.5 }
  const pairs = [400, 420, 440, 460, 500, 520, 540, 560, 900].map((left) => ({ left, sold: 1000 }))
  const nine = learnedRate(pairs, usual)
  // 0.8 × 10 is the eighth of nine, counted from the least; Student's t of 12: 1.356217 (R: qt(0.9, 12))
  const eighth = pairs.map((p) => missed(p.left, p.sold, nine)).sort((a, b) => a - b)[7]!
  expect(nine.reach).toBeCloseTo((1.356217 + eighth) / 2, 5)
  // of seven none: t of ten, 1.372184; of eight half
  expect(learnedRate(pairs.slice(0, 7), usual).reach).toBeCloseTo(1.372184, 5)
  expect(learnedRate(pairs.slice(0, 8), usual).reach).toBeLessThan(1.3)
})

/** Share of stores whose sales the 80 % interval holds, in a world of its own rates, once so many pairs are known. */
function held(rate: number, logSd: number, known: number): number {
  const storeOf = (world: number) => {
    const random = chance(104_729 * world + rate * 1000 + logSd * 100 + known)
    return () => (leaveWorlds[0] as LeaveWorld).store(random, rate, logSd)
  }
  return heldShare(storeOf, { known, worlds: 25, stores: 40 })
}

test.each([
  [0.5, 0.25],
  [0.5, 0.5],
  [0.5, 0.8],
  [0.35, 0.25],
  [0.35, 0.5],
  [0.35, 0.8],
])('stores of which %d leave feedback, spread %d: 30 pairs are enough for the 80 % interval', (rate, logSd) => {
  // 72–88 %, and two standard errors of some thousand stores
  const share = held(rate, logSd, 30)
  expect(share).toBeGreaterThan(0.69)
  expect(share).toBeLessThan(0.91)
  if (logSd <= 0.5) expect(held(rate, logSd, 0)).toBeGreaterThan(0.7)
})
