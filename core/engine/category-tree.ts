import { growthOfMany, wilsonInterval, type ProportionInterval } from '../demand'
import { numbers, textColumn, type Table } from '../tables'
import { branches } from './facets'

/** One branch of the category tree with what sells in it and below; windows of 30 days, growth of 28. Money in E4. */
export interface Branch {
  /** 'Garden / Birds'; '' is the root */
  path: string
  name: string
  parent: string | null
  items: number
  listings: number
  /** listings whose units are known, and those of them that sold at least once */
  known: number
  sold: number
  units: number
  /** units by how their items' are known, the weakest of an item's listings counting */
  byGrade: { counted: number; reported: number; estimated: number }
  revenueE4: number
  /** money per unit sold; null where nothing sold */
  averageE4: number | null
  sellThrough: ProportionInterval | null
  unitsPerListing: number | null
  /** last 28 days against the 28 before, with its interval; null where no days are known */
  growth: { ratio: number | null; low: number | null; high: number | null } | null
}

const summed = [
  'listings',
  'listingsKnown',
  'listingsSold',
  'units',
  'revenue',
  'units28',
  'units28Before',
  'unitsCounted',
  'unitsReported',
] as const
/** items of which both windows of growth are known, and squares and products of their units in those: how they scatter */
const scatter = 4

/**
 * Sums of every branch over the items that count, each branch with all that lies below it; in the tree's order, the root first.
 *
 * @param counts whether an item counts; all do where it is left out
 */
export function categoryTree(figures: Table, counts: (item: number) => boolean = () => true): Branch[] {
  const { codes, words } = textColumn(figures, 'categories')
  const columns = summed.map((name) => numbers(figures, name))
  const [later, earlier] = [numbers(figures, 'units28'), numbers(figures, 'units28Before')]
  const own = summed.length + 1
  const width = own + scatter
  const sums = new Float64Array((words.length + 1) * width)
  for (let item = 0; item < figures.rows; item++) {
    if (!counts(item)) continue
    const code = codes[item] as number
    const at = (code < 0 ? words.length : code) * width
    sums[at] = (sums[at] as number) + 1
    for (let c = 0; c < columns.length; c++) {
      const value = (columns[c] as Float64Array)[item] as number
      if (value === value) sums[at + 1 + c] = (sums[at + 1 + c] as number) + value
    }
    const [l, e] = [later[item] as number, earlier[item] as number]
    if (l !== l || e !== e) continue
    ;[1, l * l, e * e, l * e].forEach((v, i) => (sums[at + own + i] = (sums[at + own + i] as number) + v))
  }
  const totals = new Map<string, Float64Array>([['', new Float64Array(width)]])
  for (let code = 0; code <= words.length; code++) {
    const mine = sums.subarray(code * width, (code + 1) * width)
    if (mine[0] === 0) continue
    for (const path of ['', ...branches(words.at(code) ?? null)]) {
      const total = totals.get(path) ?? new Float64Array(width)
      mine.forEach((v, i) => (total[i] = (total[i] as number) + v))
      totals.set(path, total)
    }
  }
  return [...totals].map(([path, total]) => branchOf(path, total)).sort((a, b) => (a.path < b.path ? -1 : 1))
}

function branchOf(path: string, total: Float64Array): Branch {
  const [items = 0, listings = 0, known = 0, sold = 0, units = 0, revenue = 0] = total
  const [later = 0, earlier = 0, counted = 0, reported = 0] = total.subarray(6)
  const [of = 0, laterSquared = 0, earlierSquared = 0, product = 0] = total.subarray(summed.length + 1)
  const parts = path === '' ? [] : path.split(' / ')
  return {
    path,
    name: parts.at(-1) ?? 'All',
    parent: path === '' ? null : parts.slice(0, -1).join(' / '),
    items,
    listings,
    known,
    sold,
    units,
    byGrade: { counted, reported, estimated: units - counted - reported },
    revenueE4: Math.round(revenue * 10_000),
    averageE4: units === 0 ? null : Math.round((revenue * 10_000) / units),
    sellThrough: wilsonInterval(sold, known),
    unitsPerListing: known === 0 ? null : units / known,
    growth: later + earlier === 0 ? null : growthOfMany({ later, earlier, laterSquared, earlierSquared, product, of }),
  }
}

/**
 * The branch below another in which listings sell through best: by the lower bound of its interval, so that three of three do not
 * beat 170 of 200; of equals the narrower. Null where every one does worse than the one it starts from.
 */
export function bestBranch(tree: readonly Branch[], from = ''): Branch | null {
  const low = (b: Branch | undefined) => b?.sellThrough?.low ?? 0
  const below = tree.filter((b) => b.path !== from && (from === '' || b.path.startsWith(`${from} / `)))
  const start = low(tree.find((b) => b.path === from))
  const best = below.reduce<Branch | null>((top, b) => (top === null || low(b) >= low(top) ? b : top), null)
  return best && low(best) >= start ? best : null
}
