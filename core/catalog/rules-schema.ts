import { costSchemas, feeScheduleSchema, ofRules, ownCostSchema } from '../margin'
import { anyText, byName, currency, isoDay, listOf, moneyE4, oneOf, record, span, text, truth, whole } from '../schema'
import { matchJudgements, supplierStandings, supplyRulesSchema } from '../supply'
import { worthSchema } from '../verdict'
import { noCorrections, plainRules, type Corrections, type SellerRules } from './rules'

/** A rate of exchange. */
export const rateSchema = record({ from: currency(), to: currency(), rate: span(1e-6, 1e9), day: isoDay() }).test(
  'two',
  'must be between two currencies',
  (rate) => (rate as { from?: unknown }).from !== (rate as { to?: unknown }).to,
)

/** The seller's rules of money: one schema for Settings, Margin, what rests, and backups. */
export const rulesSchema = record({
  homeCurrency: currency(),
  rates: listOf(rateSchema, 1000),
  schedules: listOf(feeScheduleSchema, 1000).test('once', 'has two schedules of one market', (list) => {
    const markets = ((list ?? []) as { market?: unknown }[]).map((s) => s?.market)
    return new Set(markets).size === markets.length
  }),
  costs: record(ofRules(costSchemas)),
  minProfitE4: moneyE4(),
  stepE4: moneyE4(),
  worth: worthSchema,
  supply: supplyRulesSchema,
})

/** A line of what the seller will not list. */
export const avoidSchema = record({ what: text(200), sort: oneOf('brand', 'category', 'phrase'), why: anyText(200) })

/** What was corrected by hand. */
export const correctionsSchema = record({
  packs: byName(whole(1, 5000), 1e6),
  offers: byName(anyText(4000), 1e6),
  judged: byName(byName(oneOf(...matchJudgements), 10_000), 1e6),
  suppliers: byName(oneOf(...supplierStandings), 1e5),
  costs: byName(ownCostSchema, 1e6),
  apart: byName(text(4000), 1e6),
  together: byName(text(4000), 1e6),
  unlearned: byName(truth(), 1e6),
  avoid: listOf(avoidSchema, 10_000),
  cleared: byName(record({ reason: text(500), at: span(0, 1e15) }), 1e6),
})

/** Prices set by hand, E4 of the home currency, by item and market. */
export const pricesSchema = byName(moneyE4(), 1e6)

/** Rules as they rest, brought up to this version: parts that came later stand as in a fresh workspace. */
export function rulesNow(stored: unknown): unknown {
  const o = stored as Partial<SellerRules> | null
  if (typeof o?.costs !== 'object' || o.costs === null || typeof o.homeCurrency !== 'string') return stored
  const fresh = plainRules(o.homeCurrency)
  return {
    ...o,
    worth: o.worth ?? fresh.worth,
    supply: { ...fresh.supply, ...o.supply },
    costs: { ...fresh.costs, ...o.costs },
  }
}

export function correctionsNow(stored: unknown): unknown {
  return typeof stored === 'object' && stored !== null
    ? { ...noCorrections, ...(stored as Partial<Corrections>) }
    : stored
}
