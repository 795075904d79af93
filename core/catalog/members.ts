import { placesByNumber } from '../tables'
import type { Catalog } from './catalog'

/** Items and their listings: `members` from `starts[item]` up to `starts[item + 1]`. */
export type Members = Pick<Catalog, 'starts' | 'members'>

/** Listings by item, in their own order within each. */
export function membersOf(itemOf: Int32Array): Members {
  const { starts, places } = placesByNumber(itemOf)
  return { starts, members: places }
}

/** The listings of one item. Taken one by one: to spread a view of so few takes ten times as long, and there are a million. */
export function listingsOf({ starts, members }: Members, item: number): number[] {
  const listings: number[] = []
  const end = starts[item + 1] as number
  for (let at = starts[item] as number; at < end; at++) listings.push(members[at] as number)
  return listings
}
