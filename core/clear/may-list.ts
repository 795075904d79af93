import { categoryParts } from '../identity'
import type { RowRecord } from '../tables'
import { statusOf, type ListingStatus } from './status-of'

export interface MayList {
  status: ListingStatus
  /** the entries that say so, the strictest first */
  because: { what: string; market: string; status: ListingStatus; note: string | null; checked: number | null }[]
}

interface Listed {
  gtin: string | null
  category: string | null
  listings: readonly { key: string; title: string }[]
}

const order: ListingStatus[] = ['restricted', 'needs approval', 'allowed', 'unknown']
const text = (v: unknown) => (typeof v === 'string' ? v.trim() : null)

/**
 * Whether an item may be listed, by the entries that name its barcode, one of its listings, its category or a category above it, or a
 * brand or phrase in one of its titles. Nothing that speaks of it is 'unknown', never 'allowed'.
 */
export function mayList(entries: readonly RowRecord[], { gtin, category, listings }: Listed): MayList {
  const titles = listings.map((l) => ` ${plainWords(l.title)} `)
  const because = entries.flatMap((entry) => {
    const what = text(entry.what)
    if (what === null) return []
    const speaks =
      (gtin !== null && text(entry.gtin) === gtin) ||
      listings.some((l) => l.key === `${text(entry.market) ?? '?'}/${text(entry.id) ?? ''}`) ||
      isUnder(category, text(entry.category)) ||
      (/categor/i.test(text(entry.sort) ?? '')
        ? isUnder(category, what)
        : titles.some((t) => t.includes(` ${plainWords(what)} `)))
    const status = statusOf(text(entry.status) ?? '')
    const checked = typeof entry.checked === 'number' ? entry.checked : null
    return speaks ? [{ what, market: text(entry.market) ?? '?', status, note: text(entry.note), checked }] : []
  })
  because.sort((a, b) => order.indexOf(a.status) - order.indexOf(b.status))
  return { status: because[0]?.status ?? 'unknown', because }
}

function plainWords(s: string): string {
  return (s.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? []).join(' ')
}

function isUnder(category: string | null, branch: string | null): boolean {
  const parts = (path: string | null) => categoryParts((path ?? '').toLowerCase())
  const [mine, theirs] = [parts(category), parts(branch)]
  return theirs.length > 0 && theirs.every((part, i) => mine[i] === part)
}
