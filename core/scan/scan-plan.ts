import type { GoodsKind } from '../catalog'
import { recordKind, type RecordKind } from '../records'
import { lists, type ListName } from './contract'

/** records that a source is asked for at once */
export const pageSize = 200

/** What is looked through, and how. */
export type ScanBy = 'store' | 'term' | 'category' | 'ids'

/** The least that a sale must leave, and the lowest price of each kind of goods at which it can. */
export interface LeastProfit {
  /** in the home currency */
  amount: number
  /** in the source's currency; null where no price leaves it */
  from: Record<GoodsKind, number | null>
}

/** Limits that discard a listing on its way in; null lifts one. Prices in the source's currency. */
export interface ScanLimits {
  leastPrice: number | null
  mostPrice: number | null
  leastUnits: number | null
  leastRating: number | null
  /** a listing that ranks worse is left out */
  mostRank: number | null
  /** a listing at whose price I could not earn so much, even if the goods cost nothing */
  leastProfit: LeastProfit | null
  /** listings with one of these words in the title are left out */
  without: string[]
}

/** A scan as the user asks for it: plain data, kept with what came of it so that it can be run again. */
export interface ScanPlan {
  source: string
  /** which list of the source; plans kept before there were several mean its listings */
  list?: ListName
  by: ScanBy
  /** name of the store, words, category path; for 'ids' the identifiers, separated by spaces or commas */
  value: string
  limits: ScanLimits
}

export const noLimits: ScanLimits = {
  leastPrice: null,
  mostPrice: null,
  leastUnits: null,
  leastRating: null,
  mostRank: null,
  leastProfit: null,
  without: [],
}

/** The limits in words; '' where there are none. @example 'price from 5 to 40, 3 stars at least, without “used”' */
export function describeLimits(limits: ScanLimits): string {
  const { leastPrice, mostPrice, leastUnits, leastRating, without } = limits
  // plans that were kept before there were these say nothing of them
  const { mostRank, leastProfit } = { ...noLimits, ...limits }
  const price = [leastPrice === null ? '' : `from ${leastPrice}`, mostPrice === null ? '' : `to ${mostPrice}`]
  return [
    leastPrice === null && mostPrice === null ? '' : `price ${price.filter((p) => p !== '').join(' ')}`,
    leastUnits === null ? '' : `${leastUnits} units sold at least`,
    leastRating === null ? '' : `${leastRating} stars at least`,
    mostRank === null ? '' : `ranks up to ${mostRank}`,
    leastProfit === null ? '' : `a profit of ${leastProfit.amount} possible`,
    without.length === 0 ? '' : `without ${without.map((w) => `“${w}”`).join(', ')}`,
  ]
    .filter((part) => part !== '')
    .join(', ')
}

/** The kind of record that a scan brings. */
export function kindOfPlan({ list = 'listings' }: ScanPlan): RecordKind {
  return recordKind(lists[list])
}

/** The plan in a few words. @example describePlan(plan) // 'store Tern & Trowel', 'supplier offers for term bird bath' */
export function describePlan(plan: ScanPlan): string {
  const { list = 'listings', by, value } = plan
  const what = by === 'ids' ? `${idsOf(value).length} identifiers` : `${by} ${value}`
  return list === 'listings' ? what : `${kindOfPlan(plan).label.toLowerCase()} for ${what}`
}

export function idsOf(value: string): string[] {
  return [...new Set(value.split(/[\s,;]+/).filter((id) => id !== ''))]
}

/** The same for two plans that look through the same things, whatever their limits. */
export function planKey({ source, list = 'listings', by, value }: ScanPlan): string {
  return JSON.stringify([source, list, by, by === 'ids' ? idsOf(value).sort() : value.trim().toLowerCase()])
}
