import type { Catalog } from './catalog'

/** Items and their listings: `members` from `starts[item]` up to `starts[item + 1]`. */
export type Members = Pick<Catalog, 'starts' | 'members'>

/** Listings by item, in their own order within each (a counting sort). */
export function membersOf(itemOf: Int32Array): Members {
  // by their places, not one by one: of a million the seller waits for it
  const rows = itemOf.length
  let items = 0
  for (let row = 0; row < rows; row++) if ((itemOf[row] as number) >= items) items = (itemOf[row] as number) + 1
  const starts = new Int32Array(items + 1)
  for (let row = 0; row < rows; row++) starts[(itemOf[row] as number) + 1]!++
  for (let i = 0; i < items; i++) starts[i + 1]! += starts[i] as number
  const next = starts.slice()
  const members = new Int32Array(rows)
  for (let row = 0; row < rows; row++) members[next[itemOf[row] as number]!++] = row
  return { starts, members }
}

/** The listings of one item. Taken one by one: to spread a view of so few takes ten times as long, and there are a million. */
export function listingsOf({ starts, members }: Members, item: number): number[] {
  const listings: number[] = []
  const end = starts[item + 1] as number
  for (let at = starts[item] as number; at < end; at++) listings.push(members[at] as number)
  return listings
}
