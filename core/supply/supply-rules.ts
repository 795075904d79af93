import { volumetricDivisor } from '../margin'
import { listOf, moneyE4, orNull, ratio, record, span, text, truth, whole } from '../schema'

/** What goods from one country pay on their way in; ratios as in a cost sheet. */
export interface OriginCosts {
  /** as offers state it, such as 'CN'; case does not matter */
  origin: string
  dutyRatio: number
  importTaxRatio: number
}

/** What an offer has to keep to be chosen by itself; null asks for nothing. Defaults are common practice, no source. */
export interface SupplyRules {
  /** most days until it arrives */
  maxDays: number | null
  /** fewest stars, of 5 */
  minRating: number | null
  /** fewest years of trading */
  minYears: number | null
  /** fewest good reviews */
  minGoodReviews: number | null
  /** most orders so far: beyond, very many sell the same */
  maxOrders: number | null
  /** it has to have in stock what a first order takes */
  stockForLot: boolean
  /** most money in a first order, E4 of the home currency */
  maxLotE4: number | null
  /** cubic centimetres that couriers charge as a kilogram */
  volumetricDivisor: number
  /** countries it may come from; none: any */
  origins: string[]
  /** duty and import tax that go with a country; any other has those of the cost rules */
  imports: OriginCosts[]
}

export const supplyRules: SupplyRules = {
  maxDays: 10,
  minRating: 4,
  minYears: 4,
  minGoodReviews: 10,
  maxOrders: null,
  stockForLot: true,
  maxLotE4: null,
  volumetricDivisor,
  origins: [],
  imports: [],
}

const isOnce = (list: unknown, of: (entry: never) => string) => {
  const all = ((list ?? []) as never[]).map((entry) => of(entry).toLowerCase())
  return new Set(all).size === all.length
}

/** One schema for the form, what rests, and backups. */
export const supplyRulesSchema = record({
  maxDays: orNull(whole(1, 365)),
  minRating: orNull(span(0, 5)),
  minYears: orNull(span(0, 100)),
  minGoodReviews: orNull(whole(0, 1e6)),
  maxOrders: orNull(whole(0, 1e9)),
  stockForLot: truth(),
  maxLotE4: orNull(moneyE4()),
  volumetricDivisor: whole(1, 100_000),
  origins: listOf(text(60), 300).test('once', 'names a country twice', (list) => isOnce(list, (o: string) => o)),
  imports: listOf(record({ origin: text(60), dutyRatio: ratio(5), importTaxRatio: ratio() }), 300).test(
    'once',
    'names a country twice',
    (list) => isOnce(list, (o: OriginCosts) => o.origin ?? ''),
  ),
})

/** What a country's goods pay, where that is said; null where the cost rules hold. */
export function importsFrom(rules: SupplyRules, origin: string | null): OriginCosts | null {
  const wanted = origin?.trim().toLowerCase()
  return rules.imports.find((o) => o.origin.trim().toLowerCase() === wanted) ?? null
}
