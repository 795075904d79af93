import { addTo, regroup, type Joinable } from '../goods'
import type { Table } from '../tables'
import { ListingIndex } from './find-listing'
import type { SaidOfGoods } from './rules'

type Said = Pick<SaidOfGoods, 'apart' | 'together'>

/**
 * Items out of the groups that listings were joined to, with what the seller said of some: one set apart stands alone, and what is left
 * of its group is joined anew by itself; one said to be the goods of another brings all it stands with.
 *
 * @param groupOf listing → group, 0 upwards @param index made when something was said
 * @returns listing → item, 0 upwards in order of first appearance
 */
export function itemsByHand(
  groupOf: Int32Array,
  said: Said,
  of: () => Joinable,
  index: () => ListingIndex,
): Int32Array {
  const { apart, together } = said
  if (Object.keys(apart).length + Object.keys(together).length === 0) return groupOf
  const found = (key: string) => index().find(key) ?? []
  const itemOf = setApart(groupOf, new Set(Object.keys(apart).flatMap(found)), of)
  const unions = new Map<number, number>()
  const rootOf = (item: number): number => {
    const next = unions.get(item)
    return next === undefined ? item : rootOf(next)
  }
  for (const [key, other] of Object.entries(together)) {
    const [a, b] = [index().find(key), index().find(other)]
    if (a === null || b === null) continue
    const [x, y] = [rootOf(itemOf[a] as number), rootOf(itemOf[b] as number)]
    if (x !== y) unions.set(Math.max(x, y), Math.min(x, y))
  }
  return numbered(unions.size === 0 ? itemOf : itemOf.map((item) => (unions.has(item) ? rootOf(item) : item)))
}

function setApart(groupOf: Int32Array, apart: ReadonlySet<number>, of: () => Joinable): Int32Array {
  const itemOf = groupOf.slice()
  if (apart.size === 0) return itemOf
  // by their places: there are a million
  const isTouched = new Uint8Array(groupOf.length)
  for (const listing of apart) isTouched[groupOf[listing] as number] = 1
  const members = new Map<number, number[]>()
  let next = 0
  for (let listing = 0; listing < groupOf.length; listing++) {
    const group = groupOf[listing] as number
    if (group >= next) next = group + 1
    if (isTouched[group] === 1) addTo(members, group, listing)
  }
  for (const listings of members.values()) {
    const parts = [
      ...regroup(
        of(),
        listings.filter((l) => !apart.has(l)),
      ),
      ...listings.filter((l) => apart.has(l)).map((l) => [l]),
    ]
    for (const part of parts) {
      for (const listing of part) itemOf[listing] = next
      next++
    }
  }
  return itemOf
}

/** The same sets, numbered in order of first appearance. */
function numbered(sets: Int32Array): Int32Array {
  let most = 0
  for (let row = 0; row < sets.length; row++) if ((sets[row] as number) >= most) most = (sets[row] as number) + 1
  const numbers = new Int32Array(most).fill(-1)
  const found = new Int32Array(sets.length)
  let next = 0
  for (let row = 0; row < sets.length; row++) {
    const set = sets[row] as number
    if ((numbers[set] as number) < 0) numbers[set] = next++
    found[row] = numbers[set] as number
  }
  return found
}

export const lazyIndex = (listings: Table): (() => ListingIndex) => {
  let index: ListingIndex | null = null
  return () => (index ??= new ListingIndex(listings))
}
