import type { ItemMaker } from '../catalog'
import type { ExportedColumn } from '../exports'
import { isoDay } from '../identity'
import { numberAt, numbers, textAt, textColumn, type Table } from '../tables'
import { measures } from './measures'

/** Columns of a screen that show several figures, or words; any other is the measure of its name. */
const parts: Record<string, string[]> = {
  trend: ['stages', 'growth', 'slope'],
  sold: ['sellThrough', 'unitsPerListing'],
  room: ['room', 'sellers'],
  profit: ['profit', 'margin'],
}
const words: Record<string, string> = {
  markets: 'Markets',
  categories: 'Category',
  stages: 'Stage of life',
  kinds: 'Kind of goods',
}

/**
 * Finds as they are seen, for a file: title and place of each item, then the figures of the chosen columns. Money in the home
 * currency, ratios plain.
 *
 * @param places items in their order @param shown columns of the screen, in their order
 */
export function seenColumns(places: Int32Array, shown: readonly string[], { figures, maker }: { figures: Table; maker: ItemMaker }): ExportedColumn[] {
  const all = Array.from(places)
  const text = (name: string, label: string, values: (string | null)[]): ExportedColumn => ({ name, label, help: '', type: 'text', required: false, values })
  const facet = (name: string) => text(name, words[name] ?? name, all.map((at) => textAt(textColumn(figures, name), at)?.replaceAll('|', ', ') ?? null))
  const names = [...new Set(['markets', 'categories', ...shown.flatMap((id) => parts[id] ?? [id])])]
  const items = all.map((at) => maker.at(at, false))
  return [
    text('item', 'Item', items.map((i) => i.title)),
    text('key', 'Key', items.map((i) => i.key)),
    ...names.flatMap((name): ExportedColumn[] => {
      if (name in words) return [facet(name)]
      const m = measures.find((x) => x.name === name)
      if (!m) return []
      const column = numbers(figures, name)
      const values = all.map((at) => numberAt(column, at))
      const type = m.format === 'count' && values.every((v) => v === null || Number.isInteger(v)) ? 'integer' : 'number'
      const unit = m.format.includes('money') ? `, ${maker.rules.homeCurrency}` : ''
      return [{ name, label: `${m.label}${unit}`, help: '', type, required: false, values }]
    }),
    text('windowEnd', 'Windows end', items.map((i) => isoDay(i.windowEnd))),
    text('grade', 'Units are', items.map((i) => i.unitsGrade)),
  ]
} // prettier-ignore
