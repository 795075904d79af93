import { avoidEntries, clearEntries, Clearer, clearItems, statusOrder, unknownCode, type AvoidLine } from '../clear'
import type { Capture } from '../records'
import { recordsOf, type Column, type Table } from '../tables'

interface Joined {
  listings: Table
  /** listing → item */
  itemOf: Int32Array
  /** how many items there are */
  items: number
}

/** All that says what may be listed: lists that were brought in, and what the seller avoids. */
export function clearerOf(captures: readonly Capture[], avoid: readonly AvoidLine[]): Clearer {
  const lists = captures.filter((c) => c.kind === 'restricted')
  const entries = clearEntries(lists.map((c) => ({ records: recordsOf(c.table), day: c.capturedOn })))
  return new Clearer([...avoidEntries(avoid), ...entries])
}

/** Whether each item may be listed, as a column of words; null where there is no list, and nothing is known of any. */
export async function itemClearing(
  captures: readonly Capture[],
  avoid: readonly AvoidLine[],
  { listings, itemOf, items }: Joined,
): Promise<Column | null> {
  const clearer = clearerOf(captures, avoid)
  if (clearer.entries.length === 0) return null
  const codes = await clearItems(clearer, listings, { itemOf, items })
  // of what nothing speaks of, nothing is kept
  return {
    type: 'text',
    codes: Int32Array.from(codes, (code) => (code === unknownCode ? -1 : code)),
    words: statusOrder,
  }
}
