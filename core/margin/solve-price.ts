import { minorUnitE4, toMillionths } from '../money'
import { checkInputs, type CostInputs } from './cost-inputs'
import { workOut } from './cost-sheet'
import { feeAmount, type FeeBases, type FeeLine } from './fee-line'

export type PriceGoal = { profitE4: number } | { margin: number }

/** Prices that meet the goal, every minor unit from `fromE4` to `toE4` (null: without end). */
export interface PriceRange {
  fromE4: number
  toE4: number | null
}

export interface SolvedPrice {
  /** null where no price meets the goal, or where a cost is not known */
  lowestE4: number | null
  ranges: PriceRange[]
}

/**
 * Prices that are tried, in minor units, where the profit stays as it is within what rounding makes of it: rounding of usual rates comes again
 * within so many, so what holds for all of them holds beyond. Where rounding lets some of them serve and others not, those beyond are not told.
 */
const enoughFlat = 120_000
/** Highest price looked at, in minor units. */
const ceiling = 100_000_000

/**
 * The prices at which a sale earns a profit or a margin. Unrounded, the profit is linear between the breakpoints that fee
 * minimums, maximums and steps make; around each crossing every minor unit is tried with the rounded sheet, so the answer is
 * exact to the cent and says where it holds.
 *
 * @throws Problem 'input-invalid'
 */
export function solvePrice(inputs: CostInputs, goal: PriceGoal): SolvedPrice {
  checkInputs(inputs)
  if (workOut(inputs, 10_000, false).profitE4 === null) return { lowestE4: null, ranges: [] }
  const unit = minorUnitE4(inputs.currency)
  const rounded = (n: number) => short(inputs, goal, n * unit, true)
  const smooth = (n: number) => short(inputs, goal, n * unit, false)
  // Each rounded line can be off by half a unit, some twice over (fees of a rounded base, returns of rounded fees).
  const slack = (14 + inputs.fees.length * 2) * unit
  const ranges: PriceRange[] = []
  const add = (from: number, to: number) => {
    if (to < from) return
    const last = ranges.at(-1)
    if (last && (last.toE4 ?? 0) === (from - 1) * unit) last.toE4 = to * unit
    else ranges.push({ fromE4: from * unit, toE4: to * unit })
  }
  /** @returns whether every price between serves */
  const scan = (from: number, to: number) => {
    let misses = 0
    for (let n = from; n <= to; n++)
      if (rounded(n) >= 0) add(n, n)
      else misses++
    return misses === 0
  }
  const cuts = breakpoints(inputs, unit)
  cuts.forEach((cut, i) => {
    const next = cuts[i + 1] ?? ceiling + 3
    // Near a breakpoint the rounded base may lie on either side.
    scan(Math.max(0, cut - 2), Math.min(cut + 2, next - 3))
    onPiece(cut + 3, next - 3, smooth, slack, add, scan)
  })
  const last = ranges.at(-1)
  if (last && last.toE4 === ceiling * unit) last.toE4 = null
  return { lowestE4: ranges[0]?.fromE4 ?? null, ranges }
}

/** By how much the goal is passed (≥ 0) or missed at a price. */
function short(inputs: CostInputs, goal: PriceGoal, priceE4: number, exact: boolean): number {
  const { profitE4, netRevenueE4 } = workOut(inputs, priceE4, exact)
  const profit = profitE4 as number
  if ('profitE4' in goal) return profit - goal.profitE4
  if (netRevenueE4 <= 0) return -1
  return exact ? (profit * 1e6 - toMillionths(goal.margin) * netRevenueE4) / 1e6 : profit - goal.margin * netRevenueE4
}

function onPiece(
  from: number,
  to: number,
  smooth: (n: number) => number,
  slack: number,
  add: (from: number, to: number) => void,
  scan: (from: number, to: number) => boolean,
): void {
  if (to < from) return
  const [a, b] = [smooth(from), smooth(to)]
  const slope = to === from ? 0 : (b - a) / (to - from)
  if (Math.min(a, b) > slack) return add(from, to)
  if (Math.max(a, b) < -slack) return
  if (Math.abs(slope) < 1e-9) {
    const tried = Math.min(to, from + enoughFlat)
    if (scan(from, tried)) add(tried + 1, to)
    return
  }
  const where = (value: number) => from + (value - a) / slope
  const [x, y] = slope > 0 ? [where(-slack), where(slack)] : [where(slack), where(-slack)]
  const low = Math.max(from, Math.floor(x))
  const high = Math.min(to, Math.ceil(y))
  if (slope < 0) add(from, low - 1)
  scan(low, high)
  if (slope > 0) add(high + 1, to)
}

/** Prices (minor units) at which some fee changes its slope or jumps; starts with 0. */
function breakpoints(inputs: CostInputs, unit: number): number[] {
  const cuts = new Set<number>([0])
  for (const line of inputs.fees) {
    const { slope, offset } = baseOf(line, inputs)
    for (const base of basesWhereItBends(line)) {
      const price = (base - offset) / slope / unit
      if (price > 0 && price < ceiling) cuts.add(Math.round(price))
    }
  }
  return [...cuts].sort((a, b) => a - b)
}

/** A fee's base as slope × price + offset, unrounded. */
function baseOf(line: FeeLine, inputs: CostInputs): { slope: number; offset: number } {
  const t = inputs.taxRatio
  const factor = inputs.pricesIncludeTax ? (line.withTax ? 1 : 1 / (1 + t)) : line.withTax ? 1 + t : 1
  const postage = line.base === 'price and postage' ? inputs.postageChargedE4 : 0
  return { slope: (1 - inputs.discountRatio) * factor, offset: postage * factor }
}

function basesWhereItBends(line: FeeLine): number[] {
  const steps = line.steps.map((s) => s.fromE4).sort((a, b) => a - b)
  const bends = [...steps]
  const flat: FeeLine = { ...line, minE4: null, maxE4: null, per: 'order' }
  const at = (base: number) => feeAmount(flat, { ...noBases, priceE4: base })
  for (const bound of [line.minE4, line.maxE4]) {
    if (bound === null) continue
    const edges = [0, ...steps, 1e13]
    for (let i = 0; i + 1 < edges.length; i++) {
      const [x, y] = [(edges[i] as number) + 1e-6, (edges[i + 1] as number) - 1e-6]
      const slope = (at(y) - at(x)) / (y - x)
      const crossing = x + (bound - at(x)) / slope
      if (slope !== 0 && crossing >= x && crossing <= y) bends.push(crossing)
    }
  }
  return bends
}

const noBases: FeeBases = {
  priceE4: 0,
  postageE4: 0,
  taxE4: 0,
  priceTaxE4: 0,
  items: 1,
  salesPerListing: 1,
  salesPerMonth: 1,
}
