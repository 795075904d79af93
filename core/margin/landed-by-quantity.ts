import { landedCost } from './cost-sheet'
import { checkInputs, type CostInputs } from './cost-inputs'

/** What the goods of one sale cost where so many packs are bought at once. */
export interface LandedAt {
  /** supplier's packs in the order */
  quantity: number
  /** E4, as the cost sheet has it */
  landedE4: number
}

/** quantities between two price steps that are worked out: delivery is shared by more packs the more there are */
const between = 12

/**
 * Landed cost of a sale against the quantity ordered, from the least that may be ordered to half as much again as where the last price begins, or
 * to five times the lot. Every price step has its own quantity, and the one before it.
 *
 * @param least fewest packs in one order
 * @returns ascending; [] where the price of the goods is not known, or they cost nothing
 * @throws Problem 'input-invalid'
 */
export function landedByQuantity(inputs: CostInputs, least: number): LandedAt[] {
  checkInputs(inputs)
  if (inputs.tiers === null || inputs.tiers.length === 0) return []
  const lowest = Math.max(1, Math.ceil(least))
  const last = Math.max(...inputs.tiers.map((t) => t.from))
  const most = Math.max(Math.ceil(last * 1.5), inputs.orderQuantity * 5, lowest + 1)
  const edges = [
    lowest,
    most,
    inputs.orderQuantity,
    ...inputs.tiers.flatMap(({ from }) => [Math.ceil(from) - 1, Math.ceil(from)]),
  ].filter((n) => n >= lowest && n <= most)
  const inTurn = [...new Set(edges)].sort((a, b) => a - b)
  const quantities = new Set(inTurn.flatMap((from, i) => spread(from, inTurn[i + 1])))
  return [...quantities].flatMap((quantity) => {
    const landedE4 = landedCost({ ...inputs, orderQuantity: quantity })
    return landedE4 === null ? [] : [{ quantity, landedE4 }]
  })
}

/** Whole quantities from one edge up to the next, evenly by their logarithm. */
function spread(from: number, to: number | undefined): number[] {
  if (to === undefined) return [from]
  return Array.from({ length: between }, (_, i) => Math.round(from * (to / from) ** (i / between)))
}
