import { middleOf } from '../demand'
import type { Catalog } from './catalog'
import { ListingReader } from './listing'
import { sumListings, type ListingSums } from './listing-sums'
import type { SellerRules } from './rules'

/** A narrow theme: listings whose titles serve one audience or occasion, with what they sell. */
export interface ListingTheme {
  /** what stands for it, strongest first */
  phrases: string[]
  /** rows of the catalog's listings */
  rows: number[]
  sums: ListingSums
  /** units since they were put up, over the listings that say so; null where none does */
  unitsTotal: number | null
  /** middle age of its listings that say since when they are listed, in days to the end of the window */
  medianAgeDays: number | null
}

/** Themes with what they sell, those first that sell through best by the lower end of the interval. */
export function listingThemes(
  catalog: Catalog,
  found: readonly Pick<ListingTheme, 'phrases' | 'rows'>[],
  rules: SellerRules,
): ListingTheme[] {
  const reader = new ListingReader(catalog.listings)
  return found
    .map(({ phrases, rows }): ListingTheme => {
      const sums = sumListings(catalog, rows, rules)
      const totals = rows.flatMap((row) => reader.figure('unitsTotal', row) ?? [])
      const middle = middleOf(rows.flatMap((row) => reader.figure('listedOn', row) ?? []))
      return {
        phrases,
        rows,
        sums,
        unitsTotal: totals.length === 0 ? null : totals.reduce((a, b) => a + b, 0),
        medianAgeDays: middle === null || sums.windowEnd === null ? null : Math.max(0, sums.windowEnd - middle),
      }
    })
    .sort((a, b) => (b.sums.sellThrough?.low ?? -1) - (a.sums.sellThrough?.low ?? -1))
}
