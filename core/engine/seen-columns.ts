import { addressOf, stepper, type ItemMaker, type WorkOptions } from '../catalog'
import type { ExportedColumn } from '../exports'
import { isoDay, shownGtin } from '../identity'
import { numberAt, numbers, splitSeveral, textAt, textColumn, type Table, type TextColumn } from '../tables'
import { compositeColumns } from './composite-columns'
import { facetLabels } from './facets'
import { measures } from './measures'

/** What a column of the screen is in a file: the figures and words of a composite column, or the measure or facet of its name. */
const exportedOf = (id: string) => compositeColumns.find((c) => c.id === id)?.exported ?? [id]
/** Facets that a file has as a column, as it calls them. */
const words: Partial<Record<string, string>> = { ...facetLabels, categories: 'Category' }

export interface SeenOptions extends WorkOptions {
  figures: Table
  maker: ItemMaker
}

/**
 * Finds as they are seen, for a file: title and place of each item, then the figures of the chosen columns. Money in the home
 * currency, ratios plain.
 *
 * @param places items in their order @param shown columns of the screen, in their order
 * @throws Problem 'cancelled'
 */
export async function seenColumns(
  places: Int32Array,
  shown: readonly string[],
  { figures, maker, ...work }: SeenOptions,
): Promise<ExportedColumn[]> {
  const text = (name: string, label: string): ExportedColumn & { values: (string | null)[] } => ({
    name,
    label,
    help: '',
    type: 'text',
    required: false,
    values: [],
  })
  const [title, key, barcode, address] = [
    text('item', 'Item'),
    text('key', 'Key'),
    text('gtin', 'Barcode'),
    text('url', 'Address'),
  ]
  const [end, grade, assumed] = [
    text('windowEnd', 'Windows end'),
    text('grade', 'Units are'),
    text('assumed', 'Assumed'),
  ]
  const step = stepper(work)
  for (const [i, at] of places.entries()) {
    if (i % 100 === 0) await step(i / places.length)
    const item = maker.at(at, false)
    title.values.push(item.title)
    key.values.push(item.key)
    barcode.values.push(item.gtin === null ? null : shownGtin(item.gtin))
    address.values.push(addressOf(item))
    assumed.values.push(item.best && item.best.assumed.join(', '))
    end.values.push(isoDay(item.windowEnd))
    grade.values.push(item.unitsGrade)
  }
  const all = Array.from(places)
  const names = [...new Set(['markets', 'categories', ...shown.flatMap(exportedOf)])]
  return [
    title,
    key,
    barcode,
    address,
    ...names.flatMap((name): ExportedColumn[] => {
      if (words[name] !== undefined)
        return [{ ...text(name, words[name]), values: facetTexts(textColumn(figures, name), all) }]
      const m = measures.find((x) => x.name === name)
      if (!m) return []
      const column = numbers(figures, name)
      const values = all.map((at) => numberAt(column, at))
      const type = m.format === 'count' && values.every((v) => v === null || Number.isInteger(v)) ? 'integer' : 'number'
      const unit = m.format.includes('money') ? `, ${maker.rules.homeCurrency}` : ''
      return [{ name, label: `${m.label}${unit}`, help: '', type, required: false, values }]
    }),
    ...(names.includes('profit') ? [assumed] : []),
    end,
    grade,
  ]
}

/** Several markets are kept as one text. */
function facetTexts(column: TextColumn, places: readonly number[]): (string | null)[] {
  return places.map((at) => {
    const text = textAt(column, at)
    return text === null ? null : splitSeveral(text).join(', ')
  })
}
