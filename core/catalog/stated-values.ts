import type { ItemUse } from '../records'
import { firstSaid } from './first-said'
import type { Listing } from './listing'
import { itemFields, type StatedValues } from './listing-fields'

/** What an item makes of what its listings state, field by field, as the table says. */
export function statedBy(listings: readonly Listing[]): StatedValues {
  const stated: Record<string, unknown> = {}
  for (const { name, item } of itemFields) {
    const of = (l: Listing) => l[name as keyof Listing]
    stated[name] = summed(item, listings, of)
  }
  return stated as StatedValues
}

type Value = string | number | null

function summed({ as, weight }: ItemUse, listings: readonly Listing[], of: (l: Listing) => Value) {
  if (as === 'first') return firstSaid(listings, of)
  if (as === 'words') return words(listings.map(of))
  let [figure, weights]: [number | null, number] = [null, 0]
  for (const listing of listings) {
    const value = of(listing)
    if (typeof value !== 'number') continue
    const w = as === 'mean' ? Math.max(1, Number(listing[weight as keyof Listing] ?? 1)) : 1
    weights += w
    if (figure === null) figure = as === 'mean' ? value * w : value
    else if (as === 'least') figure = Math.min(figure, value)
    else if (as === 'most') figure = Math.max(figure, value)
    else figure += value * w
  }
  return as === 'mean' && figure !== null ? figure / weights : figure
}

function words(stated: readonly Value[]): string[] {
  const known = stated.filter((v): v is string => typeof v === 'string')
  return known.length < 2 ? known : [...new Set(known)].sort()
}
