import { stepper, type Item, type ItemMaker, type WorkOptions } from '../catalog'
import { withDaysCounted } from './counted-days'
import { Dictionary, gatherRows, sharingBlanks, type Column, type Table } from '../tables'
import { facetOf, facets } from './facets'
import { measures } from './measures'

/** Figures that are only summed over many items, never shown for one. */
const sums: readonly { name: string; of: (item: Item) => number | null }[] = [
  { name: 'listingsKnown', of: (i) => i.unitsKnown },
  { name: 'listingsSold', of: (i) => (i.sellThrough ? Math.round(i.sellThrough.ratio * i.unitsKnown) : null) },
  { name: 'unitsCounted', of: (i) => (i.unitsGrade === 'counted' ? i.units : 0) },
  { name: 'unitsReported', of: (i) => (i.unitsGrade === 'reported' ? i.units : 0) },
  { name: 'units28', of: (i) => i.life?.units28 ?? null },
  { name: 'units28Before', of: (i) => i.life?.units28Before ?? null },
]
const columnsOfItem = [...measures, ...sums]

/** Every measure and facet of every item as columns, one row an item. @throws Problem 'cancelled' */
export async function makeFigures(maker: ItemMaker, options: WorkOptions = {}): Promise<Table> {
  return figuresOf(
    maker,
    Int32Array.from({ length: maker.count }, (_, i) => i),
    options,
  )
}

/**
 * The figures of items of which some have those that others had before.
 *
 * @param before figures of the items of before
 * @param sameAs item → item of before that has the same figures but for days that have passed; -1 where they are to be worked out
 * @param options.haveDaysPassed the windows of some market end on another day (default true)
 * @throws Problem 'cancelled'
 */
export async function renewFigures(
  before: Table,
  maker: ItemMaker,
  sameAs: Int32Array,
  { haveDaysPassed = true, ...options }: WorkOptions & { haveDaysPassed?: boolean } = {},
): Promise<Table> {
  const fresh: number[] = []
  for (let item = 0; item < sameAs.length; item++) if ((sameAs[item] as number) < 0) fresh.push(item)
  const renewed = gatherRows(before, sameAs, await figuresOf(maker, Int32Array.from(fresh), options))
  return haveDaysPassed ? withDaysCounted(renewed, maker.catalog) : renewed
}

async function figuresOf(maker: ItemMaker, items: Int32Array, options: WorkOptions): Promise<Table> {
  const rows = items.length
  const columns: Record<string, Column> = {}
  for (const m of columnsOfItem) columns[m.name] = { type: 'number', values: new Float64Array(rows).fill(NaN) }
  const texts = facets.map((name) => ({ name, codes: new Int32Array(rows).fill(-1), dictionary: new Dictionary() }))
  const step = stepper(options)
  for (let row = 0; row < rows; row++) {
    if (row % 100 === 0) await step(row / rows)
    // of what does not count nothing is known
    if (!maker.isSeen(items[row] as number)) continue
    const item = maker.at(items[row] as number, false)
    writeMeasures(columns, item, row)
    for (const { name, codes, dictionary } of texts) {
      const word = facetOf[name](item)
      if (word !== null) codes[row] = dictionary.code(word)
    }
  }
  for (const { name, codes, dictionary } of texts) columns[name] = { type: 'text', codes, words: dictionary.words }
  return sharingBlanks({ rows, columns })
}

function writeMeasures(columns: Record<string, Column>, item: Item, row: number): void {
  for (const m of columnsOfItem) {
    const column = columns[m.name]
    if (column?.type === 'number') column.values[row] = m.of(item) ?? NaN
  }
}
