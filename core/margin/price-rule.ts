export interface PriceRule {
  /** how far under the lowest competing price; E4 */
  stepE4: number
  /** never below; null where no price earns the least profit, then no price is set */
  floorE4: number | null
  ceilingE4: number | null
}

export type RulePrice =
  | {
      priceE4: number
      because: 'under the lowest' | 'held at the floor' | 'held at the ceiling' | 'no competing price'
    }
  | { priceE4: null; because: 'no price earns the least profit' | 'no competing price' }

/**
 * The price a rule asks for: the lowest competing delivered price less a step, never below the floor, never above the ceiling.
 * A price that is not above zero is no price and is left out.
 */
export function rulePrice(rule: PriceRule, competingE4: readonly number[]): RulePrice {
  if (rule.floorE4 === null) return { priceE4: null, because: 'no price earns the least profit' }
  const usable = competingE4.filter((p) => Number.isFinite(p) && p > 0)
  if (usable.length === 0) {
    return rule.ceilingE4 === null
      ? { priceE4: null, because: 'no competing price' }
      : { priceE4: Math.max(rule.ceilingE4, rule.floorE4), because: 'no competing price' }
  }
  const wanted = Math.min(...usable) - rule.stepE4
  if (wanted < rule.floorE4) return { priceE4: rule.floorE4, because: 'held at the floor' }
  if (rule.ceilingE4 !== null && wanted > rule.ceilingE4)
    return { priceE4: rule.ceilingE4, because: 'held at the ceiling' }
  return { priceE4: wanted, because: 'under the lowest' }
}
