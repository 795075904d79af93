import type { RecordKind } from '../../records'
import type { ColumnUse, SeenColumn } from './guess'

/**
 * Do the rows of a file come again as those of the kind do? A listing stands once; a sale names its listing day after day; an offer
 * on an item names the item seller after seller.
 */
export function rowNames(kind: RecordKind, columns: readonly SeenColumn[], uses: readonly ColumnUse[]): number {
  const cellsOf = (field: string) => columns[uses.findIndex((u) => u.as === 'field' && u.field === field)]?.cells
  const keys = kind.keys.flatMap((field) => cellsOf(field) ?? [])
  const rows = columns[0]?.cells.length ?? 0
  const first = cellsOf(kind.keys[0] ?? '')
  if (!first || rows < 6) return 0
  const alone = differing(rows, (r) => String(first[r]))
  const titles = cellsOf('title')
  // what is for sale stands once, under its own title
  const isCatalogue = kind.name === 'listings' || kind.name === 'catalogue' || kind.name === 'offers'
  if (isCatalogue && titles && alone > 0.97 && differing(rows, (r) => String(titles[r])) < 0.6) return -1.5
  if (kind.keys.length === 1) {
    if (kind.name === 'offers' && uses.some((u) => u.as === 'field' && u.field === 'tierFrom')) return 0
    return alone > 0.97 ? 1.6 : alone > 0.85 ? 0 : kind.name === 'orders' ? -1 : kind.name === 'restricted' ? 0 : -3
  }
  if (uses.some((u) => u.as === 'day')) return alone > 0.9 ? 1.5 : 0
  const columnsOfKeys = kind.keys.flatMap((field) => [cellsOf(field)].filter((c) => c !== undefined))
  if (columnsOfKeys.length < 2 || keys.length === 0) return alone > 0.97 && kind.name !== 'terms' ? -1 : 0.3
  const together = differing(rows, (r) => columnsOfKeys.map((cells) => String(cells[r])).join('\u0001'))
  if (kind.name === 'feedback' || kind.name === 'terms') return together > 0.9 ? 0.5 : 0
  return (together > 0.95 ? 0.8 : 0) + (alone > 0.97 ? -2.5 : alone < 0.8 ? 1.5 : 0)
}

function differing(rows: number, nameOf: (row: number) => string): number {
  return new Set(Array.from({ length: rows }, (_, r) => nameOf(r))).size / rows
}
