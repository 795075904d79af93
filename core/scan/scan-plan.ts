/** What is looked through, and how. */
export type ScanBy = 'store' | 'term' | 'category' | 'ids'

/** Limits that discard a listing on its way in; null lifts one. Prices in the source's currency. */
export interface ScanLimits {
  leastPrice: number | null
  mostPrice: number | null
  leastUnits: number | null
  leastRating: number | null
  /** listings with one of these words in the title are left out */
  without: string[]
}

/** A scan as the user asks for it: plain data, kept with what came of it so that it can be run again. */
export interface ScanPlan {
  source: string
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
  without: [],
}

/** The plan in a few words. @example describePlan(plan) // 'store Tern & Trowel' */
export function describePlan({ by, value }: ScanPlan): string {
  if (by === 'ids') return `${idsOf(value).length} identifiers`
  return `${by} ${value}`
}

export function idsOf(value: string): string[] {
  return [...new Set(value.split(/[\s,;]+/).filter((id) => id !== ''))]
}

/** The same for two plans that look through the same things, whatever their limits. */
export function planKey({ source, by, value }: ScanPlan): string {
  return JSON.stringify([source, by, by === 'ids' ? idsOf(value).sort() : value.trim().toLowerCase()])
}
