import { minorUnitE4 } from '../money'
import { checkInputs, type CostInputs } from './cost-inputs'
import { landedCost, workOut } from './cost-sheet'
import { feeBase, unboundedFee, type FeeLine } from './fee-line'
import { passedBy, type PriceGoal } from './price-goal'
import { saleBases } from './sale-bases'

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
/** Prices about a bend that are tried, in minor units: the rounded base may lie on either side. */
const near = 2
/** profit by which two ends of a piece may differ a minor unit and still be level, E4 */
const level = 1e-9

/**
 * The prices at which a sale earns a profit or a margin. Unrounded, the profit is linear between the bends that fee minimums, maximums and
 * steps make; around each crossing every minor unit is tried with the rounded sheet, so the answer is exact to the cent and says where it holds.
 *
 * @throws Problem 'input-invalid'
 */
export function solvePrice(inputs: CostInputs, goal: PriceGoal): SolvedPrice {
  checkInputs(inputs)
  if (landedCost(inputs) === null) return { lowestE4: null, ranges: [] }
  const ranges = new Sweep(inputs, goal).ranges()
  return { lowestE4: ranges[0]?.fromE4 ?? null, ranges }
}

/** Looks through all prices once, from none upwards. */
class Sweep {
  readonly #inputs: CostInputs
  readonly #goal: PriceGoal
  readonly #unit: number
  readonly #slack: number
  readonly #ranges: PriceRange[] = []
  /** lowest price that was not looked at, in minor units */
  #next = 0

  constructor(inputs: CostInputs, goal: PriceGoal) {
    this.#inputs = inputs
    this.#goal = goal
    this.#unit = minorUnitE4(inputs.currency)
    // Each rounded line can be off by half a unit, some twice over (fees of a rounded base, returns of rounded fees).
    this.#slack = (14 + inputs.fees.length * 2) * this.#unit
  }

  ranges(): PriceRange[] {
    this.#try(near)
    for (const bend of bends(this.#inputs, this.#unit)) {
      this.#overPiece(bend - near - 1)
      this.#try(bend + near)
    }
    this.#overPiece(ceiling)
    const last = this.#ranges.at(-1)
    if (last?.toE4 === ceiling * this.#unit) last.toE4 = null
    return this.#ranges
  }

  /** Up to a price without a bend before it: the profit is linear but for rounding. */
  #overPiece(to: number): void {
    const from = this.#next
    if (to <= from) return void this.#try(to)
    const [a, b] = [this.#short(from, false), this.#short(to, false)]
    const slope = (b - a) / (to - from)
    if (Math.min(a, b) > this.#slack) return this.#pass(to)
    if (Math.max(a, b) < -this.#slack) return this.#skip(to)
    if (Math.abs(slope) < level) return this.#overFlat(to)
    const where = (value: number) => from + (value - a) / slope
    const [x, y] = [where(-this.#slack), where(this.#slack)].sort((p, q) => p - q) as [number, number]
    const [low, high] = [Math.max(from, Math.floor(x)), Math.min(to, Math.ceil(y))]
    if (slope < 0) this.#pass(low - 1)
    else this.#skip(low - 1)
    this.#try(high)
    if (slope < 0) this.#skip(to)
    else this.#pass(to)
  }

  #overFlat(to: number): void {
    if (this.#try(Math.min(to, this.#next + enoughFlat))) this.#pass(to)
    else this.#skip(to)
  }

  /** @returns whether every price up to one serves */
  #try(to: number): boolean {
    let serveAll = true
    while (this.#next <= to)
      if (this.#short(this.#next, true) >= 0) this.#pass(this.#next)
      else {
        this.#skip(this.#next)
        serveAll = false
      }
    return serveAll
  }

  #pass(to: number): void {
    if (to < this.#next) return
    const [fromE4, toE4] = [this.#next * this.#unit, to * this.#unit]
    const last = this.#ranges.at(-1)
    if (last?.toE4 === fromE4 - this.#unit) last.toE4 = toE4
    else this.#ranges.push({ fromE4, toE4 })
    this.#skip(to)
  }

  #skip(to: number): void {
    this.#next = Math.max(this.#next, to + 1)
  }

  /** By how much the goal is passed (≥ 0) or missed at a price. */
  #short(units: number, exact: boolean): number {
    return passedBy(this.#goal, workOut(this.#inputs, units * this.#unit, exact))
  }
}

/** Prices (minor units), ascending, at which some fee changes its slope or jumps, or may: one too many costs a few tries. */
function bends(inputs: CostInputs, unit: number): number[] {
  const prices = inputs.fees.flatMap((line) => {
    // what a fee is taken of is linear in the price
    const baseAt = (priceE4: number) => feeBase(line, saleBases(inputs, priceE4 * (1 - inputs.discountRatio)))
    const [none, one] = [baseAt(0), baseAt(1e4)]
    return basesWhereItBends(line).map((base) => ((base - none) / (one - none)) * (1e4 / unit))
  })
  return prices
    .filter((price) => price < ceiling)
    .map(Math.round)
    .sort((a, b) => a - b)
}

function basesWhereItBends(line: FeeLine): number[] {
  const pieces = [{ fromE4: 0, ratio: line.ratio }, ...line.steps]
  const bounds = [line.minE4, line.maxE4].flatMap((e4) => e4 ?? [])
  return pieces.flatMap(({ fromE4, ratio }) => {
    const fee = unboundedFee(line, fromE4)
    return [fromE4, ...bounds.map((bound) => fromE4 + (bound - fee) / ratio)]
  })
}
