import { chance } from '../../standins/random'
import { loess, loessAt, type Smoothing } from './loess'
import { pullFactor, serialFactor, sumFactor } from './serial-dependence'

/** A local fit as it is defined: the line (or mean) that has the least weighted squares, by its normal equations. */
function fitBy(y: Float64Array, { span, fit }: Smoothing, x: number, [from, to]: [number, number]): number | null {
  const n = y.length
  const reach = Math.max(Math.abs(x - from), Math.abs(to - x)) + Math.max(0, Math.floor((span - n) / 2))
  const points = Array.from({ length: to - from + 1 }, (_, i) => {
    const distance = Math.abs(from + i - x)
    // what the published program takes for the edge and for the centre
    const tricube = distance > 0.999 * reach ? 0 : distance <= 0.001 * reach ? 1 : (1 - (distance / reach) ** 3) ** 3
    return { at: from + i, value: y[from + i - 1] as number, w: tricube }
  })
  const sum = (of: (p: (typeof points)[number]) => number) => points.reduce((all, p) => all + p.w * of(p), 0)
  const w = sum(() => 1)
  if (w === 0) return null
  const [mx, my] = [sum((p) => p.at) / w, sum((p) => p.value) / w]
  const spread = sum((p) => (p.at - mx) ** 2)
  if (fit === 'mean' || reach === 0 || Math.sqrt(spread / w) <= 0.001 * (n - 1)) return my
  return my + (sum((p) => (p.at - mx) * (p.value - my)) / spread) * (x - mx)
}

/** Points that count at a place: as many as the span about it, pushed in from the ends. */
function windowAt(n: number, span: number, at: number): [number, number] {
  if (span >= n) return [1, n]
  const from = Math.min(Math.max(1, at - (span - 1) / 2), n - span + 1)
  return [from, from + span - 1]
}

function loessBy(y: Float64Array, how: Smoothing): number[] {
  const n = y.length
  const jump = Math.min(how.jump, n - 1)
  const jumps = Array.from({ length: Math.ceil(n / jump) }, (_, i) => 1 + i * jump)
  const last = jumps.at(-1) as number
  // the last point is fitted to what the last jump looked at, as the program that STL was published with does (from memory)
  const fits = new Map(
    [...jumps, n].map((at) => [
      at,
      fitBy(y, how, at, windowAt(n, how.span, Math.min(at, last))) ?? (y[at - 1] as number),
    ]),
  )
  const places = [...fits.keys()].sort((a, b) => a - b)
  return Array.from({ length: n }, (_, i) => {
    const at = i + 1
    const after = places.find((p) => p >= at) as number
    const before = places.filter((p) => p <= at).at(-1) as number
    const [a, b] = [fits.get(before) as number, fits.get(after) as number]
    return before === after ? a : a + ((b - a) * (at - before)) / (after - before)
  })
}

const random = chance(31)
const valuesOf = (n: number) => Float64Array.from({ length: n }, () => 20 * random.next() - 5)
const close = (a: number, b: number) => Math.abs(a - b) < 1e-9 * (1 + Math.abs(b))

test.each(['mean', 'line'] as const)('a smoothed %s is what its definition gives, at every place', (fit) => {
  const wrong: string[] = []
  for (let i = 0; i < 1500; i++) {
    const n = 2 + Math.floor(random.next() * 26)
    const how = { span: 3 + 2 * Math.floor(random.next() * 24), fit, jump: 1 + Math.floor(random.next() * 6) }
    const y = valuesOf(n)
    const [ours, theirs] = [loess(y, how), loessBy(y, how)]
    if (!theirs.every((v, at) => close(ours[at] as number, v))) wrong.push(`${n} values, ${JSON.stringify(how)}`)
  }
  expect(wrong).toEqual([])
})

test('one fit may lie outside the points; one without weight is none', () => {
  for (let i = 0; i < 800; i++) {
    const n = 1 + Math.floor(random.next() * 12)
    const span = 3 + 2 * Math.floor(random.next() * 9)
    const fit = random.next() < 0.5 ? 'mean' : 'line'
    const [x, reach]: [number, [number, number]] =
      random.next() < 0.5 ? [0, [1, Math.min(span, n)]] : [n + 1, [Math.max(1, n - span + 1), n]]
    const y = valuesOf(n)
    const how = { span, fit, jump: 1 } as const
    const [ours, theirs] = [loessAt(y, how, x, reach), fitBy(y, how, x, reach)]
    if (theirs === null) expect(ours).toBeNull()
    else expect(ours).toBeCloseTo(theirs, 9)
  }
  expect(loess(Float64Array.of(7), { span: 3, fit: 'line', jump: 1 })).toEqual(Float64Array.of(7))
})

test('by how much the variance of S is larger is what Hamed and Rao’s sum gives', () => {
  for (let round = 0; round < 200; round++) {
    const n = 5 + Math.floor(random.next() * 25)
    let level = 0
    const values = Float64Array.from({ length: n }, (_, i) => {
      level = 0.8 * level + random.next() - 0.5
      return 0.1 * i + level
    })
    const slope = round % 2 === 0 ? 0.1 : 0
    const rest = [...values].map((v, i) => v - slope * i)
    const ranks = rest.map((v) => rest.filter((w) => w < v).length + (rest.filter((w) => w === v).length + 1) / 2)
    const mean = ranks.reduce((a, b) => a + b, 0) / n
    const cov = (k: number) => ranks.slice(k).reduce((sum, r, i) => sum + (r - mean) * ((ranks[i] as number) - mean), 0)
    let sum = 0
    for (let k = 1; k <= n - 1; k++) {
      const rho = cov(k) / cov(0)
      if (Math.abs(rho) > 1.645 / Math.sqrt(n)) sum += (n - k) * (n - k - 1) * (n - k - 2) * rho
    }
    // gaps are left out
    const gapped = Float64Array.from([NaN, ...values, NaN])
    for (const given of [values, gapped])
      expect(serialFactor(given, slope)).toBeCloseTo(1 + (2 / (n * (n - 1) * (n - 2))) * sum, 9)
  }
  expect(serialFactor([1, 2, 2, 3, NaN])).toBe(1)
  expect(serialFactor([4, 4, 4, 4, 4, 4], 0)).toBe(1)
})

test('levels that pull widen a sum as the covariances of its weeks say, and what is counted by chance does not pull', () => {
  for (const n of [1, 2, 5, 12, 40])
    for (const [variance, pull, counting] of [
      [0.3, 0.6, 0.2],
      [1, -0.4, 0],
      [0, 0.9, 0.1],
      [0, 0, 0],
    ] as const) {
      const own = variance + counting
      const at = (i: number, j: number) => (i === j ? own : variance * pull ** Math.abs(i - j))
      let [all, s] = [0, 0]
      for (let i = 0; i < n; i++) for (let j = 0; j < n; j++) all += at(i, j)
      for (let k = 1; k < n; k++) s += (n - k) * (n - k - 1) * (n - k - 2) * (own === 0 ? 0 : at(0, k) / own)
      const scatter = { variance, pull, counting } as never
      expect(sumFactor(scatter, n)).toBeCloseTo(own === 0 ? 1 : all / (n * own), 9)
      expect(pullFactor(scatter, n)).toBeCloseTo(n < 5 ? 1 : 1 + (2 / (n * (n - 1) * (n - 2))) * s, 9)
    }
})
