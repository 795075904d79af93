import { minorUnitE4, toMillionths } from '../money'
import { listOf, record, span, text } from '../schema'
import type { CostInputs } from './cost-inputs'
import { ratioOf, workOut } from './cost-sheet'
import { feeLine } from './fee-line'
import { leastWhere } from './least-where'

/** What a what-if may change. */
export type ScenarioPart = 'price' | 'rate' | 'goods' | 'delivery' | 'fees' | 'returns' | 'tax'

/** A named what-if: changes of what is, none where 0. The seller's rules stay as they are. */
export interface Scenario {
  name: string
  /** shares (0.1: a tenth more), or points of a share (0.02: 12 % becomes 14 %), as the part says */
  changes: Record<ScenarioPart, number>
}

/** A sale: what it costs, and at what price. */
export interface Sale {
  inputs: CostInputs
  priceE4: number
  /** whether the supplier is paid in another currency than the seller's */
  isForeign: boolean
}

interface PartOfScenario {
  label: string
  /** 'share': so much more or less of it; 'points': so many percentage points more or less */
  as: 'share' | 'points'
  least: number
  most: number
  /** the end at which a sale earns least */
  worst: 'least' | 'most'
  apply: (sale: Sale, change: number) => Partial<Sale>
}

const scaled = (e4: number, change: number) => Math.round((e4 * (1e6 + toMillionths(change))) / 1e6)
const added = (ratio: number, points: number) => Math.max(0, toMillionths(ratio) + toMillionths(points)) / 1e6

function withGoods({ inputs }: Sale, change: number): Pick<Sale, 'inputs'> {
  const tiers = inputs.tiers?.map(({ from, priceE4 }) => ({ from, priceE4: scaled(priceE4, change) })) ?? null
  return { inputs: { ...inputs, tiers } }
}

function withAmounts({ inputs }: Sale, names: readonly (keyof CostInputs)[], change: number): Pick<Sale, 'inputs'> {
  const amounts = Object.fromEntries(names.map((name) => [name, scaled(inputs[name] as number, change)]))
  return { inputs: { ...inputs, ...amounts } }
}

const sent = ['supplierDeliveryE4', 'inboundFreightE4', 'freightPerKgE4', 'postageOutE4'] as const

/** In the order in which they are asked. */
export const scenarioParts: Readonly<Record<ScenarioPart, PartOfScenario>> = {
  price: {
    label: 'Price',
    as: 'share',
    least: -0.99,
    most: 10,
    worst: 'least',
    apply({ priceE4, inputs }, change) {
      const unit = minorUnitE4(inputs.currency)
      return { priceE4: Math.round(scaled(priceE4, change) / unit) * unit }
    },
  },
  rate: {
    label: 'Rate of exchange',
    as: 'share',
    least: -0.99,
    most: 10,
    worst: 'most',
    apply(sale, change) {
      if (!sale.isForeign) return {}
      const { inputs } = withGoods(sale, change)
      return withAmounts({ ...sale, inputs }, ['supplierDeliveryE4'], change)
    },
  },
  goods: { label: 'Goods', as: 'share', least: -0.99, most: 10, worst: 'most', apply: withGoods },
  delivery: {
    label: 'Delivery and postage',
    as: 'share',
    least: -1,
    most: 10,
    worst: 'most',
    apply: (sale, change) => withAmounts(sale, sent, change),
  },
  fees: {
    label: 'Fees',
    as: 'points',
    least: -1,
    most: 1,
    worst: 'most',
    apply({ inputs }, change) {
      const line = feeLine({ id: 'what-if', label: 'Fees in this what-if', base: 'price and postage', ratio: change })
      return { inputs: { ...inputs, fees: [...inputs.fees, line] } }
    },
  },
  returns: {
    label: 'Returns',
    as: 'points',
    least: -1,
    most: 1,
    worst: 'most',
    apply: ({ inputs }, change) => ({
      inputs: { ...inputs, returnRatio: Math.min(1, added(inputs.returnRatio, change)) },
    }),
  },
  tax: {
    label: 'Tax on sales',
    as: 'points',
    least: -1,
    most: 1,
    worst: 'most',
    apply: ({ inputs }, change) => ({ inputs: { ...inputs, taxRatio: added(inputs.taxRatio, change) } }),
  },
}
export const scenarioPartNames = Object.keys(scenarioParts) as ScenarioPart[]

export const noChanges = Object.fromEntries(scenarioPartNames.map((name) => [name, 0])) as Scenario['changes']

/** One schema for the form, what rests, and backups. */
export const scenarioSchema = record({
  name: text(60),
  changes: record(
    Object.fromEntries(
      scenarioPartNames.map((name) => [name, span(scenarioParts[name].least, scenarioParts[name].most)]),
    ),
  ),
})
export const scenariosSchema = listOf(scenarioSchema, 20).test('once', 'has two of one name', (list) => {
  const names = ((list ?? []) as { name?: string }[]).map((s) => s.name?.trim().toLowerCase())
  return new Set(names).size === names.length
})

/** What-ifs of a fresh workspace, to be changed or removed. */
export const firstScenarios: readonly Scenario[] = [
  { name: 'Rate a tenth against me', changes: { ...noChanges, rate: 0.1 } },
  { name: 'Price war', changes: { ...noChanges, price: -0.1 } },
  { name: 'Fees two points up', changes: { ...noChanges, fees: 0.02 } },
  { name: 'More returns', changes: { ...noChanges, returns: 0.05 } },
]

/** The sale as it would be. Parts that are changed take effect one after another, in their order. */
export function underScenario(sale: Sale, { changes }: Pick<Scenario, 'changes'>): Sale {
  return scenarioPartNames.reduce(
    (now, name) => (changes[name] === 0 ? now : { ...now, ...scenarioParts[name].apply(now, changes[name]) }),
    sale,
  )
}

export interface ScenarioResult {
  priceE4: number
  landedE4: number | null
  profitE4: number | null
  /** profit in the net revenue; null where either is not known or there is none */
  margin: number | null
}

/** What a sale comes to. @throws Problem 'input-invalid' */
export function saleResult({ inputs, priceE4 }: Sale): ScenarioResult {
  const { landedE4, profitE4, netRevenueE4 } = workOut(inputs, priceE4, true)
  return {
    priceE4,
    landedE4,
    profitE4,
    margin: ratioOf(profitE4, netRevenueE4),
  }
}

/** steps in which a change is looked for: a thousandth, or a tenth of a point */
const perWhole = 1000

/**
 * The least change of one part at which a sale is a loss, the rest as it is; to a thousandth. Profit never rises while a part gets worse, so
 * halving finds it.
 *
 * @returns 0 where it is one already; null where no change that is looked at makes it one, or where the profit is not known
 */
export function turnsToLossAt(sale: Sale, part: ScenarioPart): number | null {
  const end = scenarioParts[part][scenarioParts[part].worst]
  const changeAt = (n: number) => (Math.sign(end) * n) / perWhole
  const isLoss = (n: number) => {
    const { profitE4 } = saleResult(underScenario(sale, { changes: { ...noChanges, [part]: changeAt(n) } }))
    return profitE4 !== null && profitE4 < 0
  }
  const least = leastWhere(isLoss, Math.floor(Math.abs(end) * perWhole))
  return least === null ? null : changeAt(least)
}
