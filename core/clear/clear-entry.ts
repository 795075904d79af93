import { normaliseGtin } from '../identity'
import type { RowRecord } from '../tables'
import { statusOf, type ListingStatus } from './status-of'

/** What an entry speaks of: one item, a brand, a category with all under it, or words wherever they stand. */
export type EntrySort = 'item' | 'brand' | 'category' | 'phrase'

/** A line that says whether something may be listed. */
export interface ClearEntry {
  what: string
  sort: EntrySort
  /** null where it holds of every market */
  market: string | null
  status: ListingStatus
  gtin: string | null
  /** the market's number of a listing */
  id: string | null
  category: string | null
  note: string | null
  /** day on which it was looked up; null where it is not said */
  checked: number | null
  /** day of the list that says it; null for the seller's own */
  readOn: number | null
  /** a list that was brought in, or the seller's own list of what to avoid */
  by: 'list' | 'you'
}

/** What the seller will not list, whatever a market says. */
export interface AvoidLine {
  /** words, a brand or a category, as `sort` says */
  what: string
  sort: Exclude<EntrySort, 'item'>
  /** why: bulky, fragile, licensed, … */
  why: string
}

const text = (v: unknown) => (typeof v === 'string' && v.trim() !== '' ? v.trim() : null)

/** beginnings of what sorts are called in the eight languages that headings are read in */
const sorts: [EntrySort, RegExp][] = [
  ['category', /^(?:categor|catégor|kategor|warengruppe|branche|rubri)/i],
  ['brand', /^(?:brand|marke?$|marke|marque|marca|marchio|merk|marka|maker|manufacturer|hersteller)/i],
  ['item', /^(?:item|product|produkt|artikel|artic|artíc|barcode|ean|gtin|listing|sku)/i],
]

/** A list that was brought in, and the day of its capture. */
export interface ClearList {
  records: readonly RowRecord[]
  day: number
}

/**
 * The lists that were brought in, as entries; a line that names nothing is passed over, and what a later list says of the same thing on the same
 * market takes the place of what an earlier one said.
 */
export function clearEntries(lists: readonly ClearList[]): ClearEntry[] {
  const found = new Map<string, ClearEntry>()
  for (const { records, day } of [...lists].sort((a, b) => a.day - b.day))
    for (const record of records) {
      const entry = entryOf(record, day)
      if (entry) found.set(subjectOf(entry), entry)
    }
  return [...found.values()]
}

function entryOf(r: RowRecord, day: number): ClearEntry | null {
  const what = text(r.what)
  if (what === null) return null
  const said = text(r.sort) ?? ''
  const code = normaliseGtin(what)
  return {
    what,
    sort: sorts.find(([, pattern]) => pattern.test(said))?.[0] ?? (code === null ? 'phrase' : 'item'),
    market: text(r.market),
    status: statusOf(text(r.status) ?? ''),
    gtin: text(r.gtin) ?? code,
    id: text(r.id),
    category: text(r.category),
    note: text(r.note),
    checked: typeof r.checked === 'number' ? r.checked : null,
    readOn: day,
    by: 'list',
  }
}

/** What an entry is about, as one text. */
function subjectOf({ market, sort, gtin, id, category, what }: ClearEntry): string {
  const about = gtin ?? id ?? `${category ?? ''}\t${what.toLowerCase()}`
  return [market ?? '', sort, about].join('\n')
}

/** The seller's own list: what it names is restricted on every market. */
export function avoidEntries(lines: readonly AvoidLine[]): ClearEntry[] {
  return lines.map(({ what, sort, why }) => ({
    what,
    sort,
    market: null,
    status: 'restricted',
    gtin: null,
    id: null,
    category: null,
    note: why === '' ? null : why,
    checked: null,
    readOn: null,
    by: 'you',
  }))
}
