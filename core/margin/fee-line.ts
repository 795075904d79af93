/** One fee as data. All money in E4 of the schedule's currency. */
export interface FeeLine {
  id: string
  label: string
  kind: 'market' | 'payment' | 'listing'
  /** what the percentage is taken of */
  base: 'price' | 'price and postage'
  /** does that include the tax in the price? */
  withTax: boolean
  /** 0.12 = 12 % */
  ratio: number
  fixedE4: number
  minE4: number | null
  maxE4: number | null
  /** other ratios from certain amounts on; `ratio` holds below the first */
  steps: { fromE4: number; ratio: number }[]
  /** 'marginal': each part at its own ratio; 'whole': all of it at the ratio of the step it reaches */
  stepsApply: 'marginal' | 'whole'
  per: 'order' | 'item' | 'listing' | 'month'
}

/** A fee of nothing, with what is said of it. */
export function feeLine(some: Partial<FeeLine> & Pick<FeeLine, 'id'>): FeeLine {
  return {
    label: some.id,
    kind: 'market',
    base: 'price',
    withTax: true,
    ratio: 0,
    fixedE4: 0,
    minE4: null,
    maxE4: null,
    steps: [],
    stepsApply: 'marginal',
    per: 'order',
    ...some,
  }
}

/** What the fees are taken of, for one sale; E4, after discount. */
export interface FeeBases {
  priceE4: number
  postageE4: number
  /** tax in price and postage together, and in the price alone */
  taxE4: number
  priceTaxE4: number
  /** pieces the listing holds, for fees per item */
  items: number
  salesPerListing: number
  salesPerMonth: number
}

/** The amount a fee is taken of. */
export function feeBase(line: FeeLine, bases: FeeBases): number {
  const postage = line.base === 'price and postage' ? bases.postageE4 : 0
  const tax = line.withTax ? 0 : line.base === 'price and postage' ? bases.taxE4 : bases.priceTaxE4
  return bases.priceE4 + postage - tax
}

/** What one sale bears of a fee, not rounded; E4 with its fraction. */
export function feeAmount(line: FeeLine, bases: FeeBases): number {
  const base = feeBase(line, bases)
  let fee = unboundedFee(line, base)
  if (line.maxE4 !== null) fee = Math.min(fee, line.maxE4)
  if (line.minE4 !== null) fee = Math.max(fee, line.minE4)
  const times = line.per === 'item' ? bases.items : 1
  const share = line.per === 'listing' ? bases.salesPerListing : line.per === 'month' ? bases.salesPerMonth : 1
  return (fee * times) / share
}

/** What a fee takes of an amount before its least and most, E4. */
export function unboundedFee(line: FeeLine, baseE4: number): number {
  return ofSteps(line, baseE4) + line.fixedE4
}

function ofSteps(line: FeeLine, base: number): number {
  if (line.steps.length === 0) return base * line.ratio
  const steps = [{ fromE4: -Infinity, ratio: line.ratio }, ...[...line.steps].sort((a, b) => a.fromE4 - b.fromE4)]
  if (line.stepsApply === 'whole') {
    const reached = steps.filter((s) => base >= s.fromE4).at(-1)
    return base * (reached?.ratio ?? line.ratio)
  }
  return steps.reduce((sum, step, i) => {
    const from = Math.max(0, step.fromE4)
    const to = Math.min(base, steps[i + 1]?.fromE4 ?? Infinity)
    return to > from ? sum + (to - from) * step.ratio : sum
  }, 0)
}
