import {
  saleResult,
  scenarioPartNames,
  turnsToLossAt,
  underScenario,
  type Sale,
  type Scenario,
  type ScenarioPart,
  type ScenarioResult,
} from '../margin'
import type { Assumption } from './assumption'
import type { Item } from './item'
import { costOf } from './item-costs'
import type { Corrections, SellerRules } from './rules'

interface Settled {
  rules: SellerRules
  corrections: Corrections
}

/** A sale of an item on a market at a price, with the offer it is reckoned with. */
export function saleOf(item: Item, market: string, priceE4: number, { rules, corrections }: Settled): Sale {
  const { inputs } = costOf(item, market, rules, corrections)
  const currency = item.offer?.offer.currency ?? null
  const isOwnCost = corrections.costs[item.key]?.tiers !== undefined
  return { inputs, priceE4, isForeign: !isOwnCost && currency !== null && currency !== rules.homeCurrency }
}

/** An item under several what-ifs, on the market where it earns most at the lowest competing price there. */
export interface ItemScenarios {
  key: string
  title: string
  market: string
  /** what the profit rests on that nobody stated */
  assumed: readonly Assumption[]
  now: ScenarioResult
  /** by the place of the what-if */
  under: ScenarioResult[]
  /** the least change of each part alone at which it is a loss; null where none makes it one */
  turns: Record<ScenarioPart, number | null>
}

/** @returns null where no price or a cost is not known */
export function itemScenarios(item: Item, scenarios: readonly Scenario[], settled: Settled): ItemScenarios | null {
  const { best } = item
  if (!best || best.profitE4 === null) return null
  const sale = saleOf(item, best.market, best.lowestE4, settled)
  return {
    key: item.key,
    title: item.title,
    market: best.market,
    assumed: best.assumed,
    now: saleResult(sale),
    under: scenarios.map((scenario) => saleResult(underScenario(sale, scenario))),
    turns: turnsOf(sale),
  }
}

/** The least change of each part alone that makes a sale a loss. */
export const turnsOf = (sale: Sale): ItemScenarios['turns'] =>
  Object.fromEntries(scenarioPartNames.map((part) => [part, turnsToLossAt(sale, part)])) as ItemScenarios['turns']
