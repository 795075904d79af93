import { minorUnitE4 } from '../money'
import { costNames, costParts } from './cost-parts'
import type { CostInputs } from './cost-inputs'
import { costSheet, ratioOf, workOut } from './cost-sheet'
import type { FeeLine } from './fee-line'
import { leastWhere } from './least-where'
import { passedBy } from './price-goal'

/** the dearest pack that is looked at, E4 */
const mostPaidE4 = 1e13

/**
 * The most one may pay for a supplier's pack and still keep a margin at a price; E4, to the minor unit.
 * Profit never rises with the buying price, so halving finds it exactly.
 *
 * @returns null where even free goods do not leave the margin, or goods of any price do
 */
export function highestBuyingPrice(inputs: CostInputs, priceE4: number, margin: number): number | null {
  const unit = minorUnitE4(inputs.currency)
  const atUnits = (n: number) =>
    workOut({ ...inputs, tiers: [{ from: inputs.orderQuantity, priceE4: n * unit }] }, priceE4, true)
  const tooDear = leastWhere((n) => passedBy({ margin }, atUnits(n)) < 0, mostPaidE4 / unit)
  // where no buying price is too dear, as all comes back, there is none that is the highest
  return tooDear === null || tooDear === 0 ? null : (tooDear - 1) * unit
}

export interface AdvertisingRoom {
  /** profit before advertising: what one sale can bear */
  affordableE4: number | null
  /** net revenue / profit before advertising: the return on advertising at which nothing is left */
  breakEvenReturn: number | null
}

/** What advertising a sale at this price can bear. */
export function advertisingRoom(inputs: CostInputs, priceE4: number): AdvertisingRoom {
  const sheet = costSheet({ ...inputs, advertisingE4: 0 }, priceE4)
  const room = sheet.profitE4
  return { affordableE4: room, breakEvenReturn: ratioOf(sheet.netRevenueE4, room) }
}

export interface Payback {
  /** money at risk in a first order */
  outlayE4: number
  /** sales that bring it back; null where a sale brings nothing */
  units: number | null
  /** days at the expected rate; null where it is not known */
  days: number | null
}

/** A first order of an offer: supplier's packs, and all that is laid out for it, E4; null where a cost is not known. */
export interface FirstOrder {
  packs: number
  outlayE4: number | null
}

/** @param landedE4 what the goods of one sale cost */
export function firstOrder({ orderQuantity, packBought, packSold }: CostInputs, landedE4: number | null): FirstOrder {
  const sales = (orderQuantity * packBought) / packSold
  return { packs: orderQuantity, outlayE4: landedE4 === null ? null : Math.round(landedE4 * sales) }
}

/** How long a first order takes to pay for itself: each sale brings back its profit and its landed cost. */
export function payback(inputs: CostInputs, priceE4: number, unitsPerDay: number | null): Payback | null {
  const sheet = costSheet(inputs, priceE4)
  const { outlayE4 } = firstOrder(inputs, sheet.landedE4)
  // where the goods' cost is known, the profit is
  if (outlayE4 === null) return null
  const sales = ratioOf(outlayE4, (sheet.profitE4 as number) + (sheet.landedE4 as number))
  const units = sales === null ? null : Math.ceil(sales)
  return { outlayE4, units, days: units !== null && unitsPerDay ? Math.ceil(units / unitsPerDay) : null }
}

export interface Sensitivity {
  input: string
  label: string
  /** profit when the input is a tenth lower and a tenth higher */
  lowerE4: number
  higherE4: number
}

/** every input that is a number: an amount, a share or a count */
const movable = costNames.filter((name) => costParts[name].format !== undefined)

/** What moves the profit most: each input a tenth down and up, the rest as it is; largest swing first. */
export function sensitivity(inputs: CostInputs, priceE4: number): Sensitivity[] {
  const profit = (i: CostInputs, p = priceE4) => workOut(i, p, true).profitE4
  const rows: Sensitivity[] = []
  const put = (input: string, label: string, down: number | null, up: number | null) => {
    if (down !== null && up !== null && down !== up) rows.push({ input, label, lowerE4: down, higherE4: up })
  }
  const unit = minorUnitE4(inputs.currency)
  const tenth = (e4: number, f: number) => Math.round((e4 * f) / unit) * unit
  put('price', 'Price', profit(inputs, tenth(priceE4, 0.9)), profit(inputs, tenth(priceE4, 1.1)))
  const tiers = inputs.tiers
  if (tiers) {
    const scaled = (f: number) => ({
      ...inputs,
      tiers: tiers.map((t) => ({ ...t, priceE4: Math.round(t.priceE4 * f) })),
    })
    put('goods', 'Goods', profit(scaled(0.9)), profit(scaled(1.1)))
  }
  const fees = (f: number) => ({ ...inputs, fees: inputs.fees.map((line) => scaledFee(line, f)) })
  put('fees', 'Fees', profit(fees(0.9)), profit(fees(1.1)))
  for (const input of movable) {
    const value = inputs[input] as number
    const isWhole = input.endsWith('E4') || costParts[input].format === 'count'
    const scale = (f: number) => ({ ...inputs, [input]: isWhole ? Math.round(value * f) : value * f })
    put(input, costParts[input].label, profit(scale(0.9)), profit(scale(1.1)))
  }
  return rows.sort((a, b) => swing(b) - swing(a))
}

/** All that a fee takes, so many times; where its steps begin stays. */
function scaledFee(line: FeeLine, f: number): FeeLine {
  const amount = (e4: number) => Math.round(e4 * f)
  return {
    ...line,
    ratio: line.ratio * f,
    fixedE4: amount(line.fixedE4),
    minE4: line.minE4 === null ? null : amount(line.minE4),
    maxE4: line.maxE4 === null ? null : amount(line.maxE4),
    steps: line.steps.map((s) => ({ ...s, ratio: s.ratio * f })),
  }
}

function swing(s: Sensitivity): number {
  return Math.abs(s.higherE4 - s.lowerE4)
}
