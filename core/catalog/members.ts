import type { Catalog } from './catalog'

/** Items and their listings: `members` from `starts[item]` up to `starts[item + 1]`. */
export type Members = Pick<Catalog, 'starts' | 'members'>

/** Listings by item, in their own order within each (a counting sort). */
export function membersOf(itemOf: Int32Array): Members {
  let items = 0
  for (const item of itemOf) items = Math.max(items, item + 1)
  const starts = new Int32Array(items + 1)
  for (const item of itemOf) starts[item + 1] = (starts[item + 1] as number) + 1
  for (let i = 0; i < items; i++) starts[i + 1] = (starts[i + 1] as number) + (starts[i] as number)
  const next = starts.slice()
  const members = new Int32Array(itemOf.length)
  itemOf.forEach((item, listing) => {
    members[next[item] as number] = listing
    next[item] = (next[item] as number) + 1
  })
  return { starts, members }
}

/** The listings of one item. Taken one by one: to spread a view of so few takes ten times as long, and there are a million. */
export function listingsOf({ starts, members }: Members, item: number): number[] {
  const listings: number[] = []
  const end = starts[item + 1] as number
  for (let at = starts[item] as number; at < end; at++) listings.push(members[at] as number)
  return listings
}
