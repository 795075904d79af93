import type { PriceRange } from './solve-price'

export interface PriceRule {
  /** how far under the lowest competing price; E4 */
  stepE4: number
  /** prices that earn the least profit, ascending; none where no price does, then no price is set */
  earning: readonly PriceRange[]
  ceilingE4: number | null
}

export type RulePrice =
  | {
      priceE4: number
      because: 'under the lowest' | 'held at the floor' | 'held at the ceiling' | 'no competing price'
    }
  | { priceE4: null; because: 'no price earns the least profit' | 'no competing price' }

/**
 * The price a rule asks for: the lowest competing delivered price less a step, not above the ceiling, and always one that earns the least
 * profit: where a step of a fee makes a hole there, the next price below it; never below the lowest that earns it, whatever the ceiling.
 * A price that is not above zero is no price and is left out.
 */
export function rulePrice({ stepE4, earning, ceilingE4 }: PriceRule, competingE4: readonly number[]): RulePrice {
  const floorE4 = earning[0]?.fromE4
  if (floorE4 === undefined) return { priceE4: null, because: 'no price earns the least profit' }
  const usable = competingE4.filter((p) => Number.isFinite(p) && p > 0)
  if (usable.length === 0) {
    if (ceilingE4 === null) return { priceE4: null, because: 'no competing price' }
    return { priceE4: highestUpTo(earning, ceilingE4) ?? floorE4, because: 'no competing price' }
  }
  const wanted = Math.min(...usable) - stepE4
  const isCapped = ceilingE4 !== null && wanted > ceilingE4
  const priceE4 = highestUpTo(earning, isCapped ? ceilingE4 : wanted)
  if (priceE4 === null) return { priceE4: floorE4, because: 'held at the floor' }
  return { priceE4, because: isCapped ? 'held at the ceiling' : 'under the lowest' }
}

/** The highest price that earns the least profit and is not above another. */
function highestUpTo(earning: readonly PriceRange[], mostE4: number): number | null {
  const range = earning.findLast((r) => r.fromE4 <= mostE4)
  return range ? Math.min(mostE4, range.toE4 ?? Infinity) : null
}
