import cdf from '@stdlib/stats-base-dists-t-cdf'
import { weekday } from '../identity'
import { scatteredGrowth } from './growth'
import { falseDiscovery } from './false-discovery'
import type { UnitSeries } from './series'

/** How a part of the days sells beside the others. */
export interface Pull {
  /** units a day in this part / in the others, less 1 */
  lift: number
  /** 95 % interval, of a lift only; null else, and where it is open */
  low: number | null
  high: number | null
  /** the false discovery rate over all parts is controlled at 5 %, and the interval leaves zero out */
  isLift: boolean
}

export interface WeekdayPull extends Pull {
  /** 0 is Monday */
  weekday: number
}

const [leastDays, leastUnits] = [56, 70]

/**
 * How much more or less is sold on each weekday than on the others, with the 95 % interval of two shares by the days' own scatter; null
 * without daily figures of eight weeks and 70 units, as chance would pass for a pattern. Days without a figure do not count.
 */
export function weekdayPull(series: UnitSeries): WeekdayPull[] | null {
  const weekOf = (day: number) => Math.floor((day - series.start) / 7)
  return pullsOf(series, 7, weekday, weekOf)?.map((pull, d) => ({ weekday: d, ...pull })) ?? null
}

/**
 * The same for any division of days into parts. Scatter is how far what is sold in a part of a block lies off what the part usually has of
 * that block (Pearson's chi-square over its degrees of freedom, at least 1: quasi-Poisson, McCullagh & Nelder 1989), so that a good week
 * is no pattern.
 *
 * @param blockOf days that are compared with each other: a week, a month
 */
export function pullsOf(
  series: UnitSeries,
  parts: number,
  partOf: (day: number) => number,
  blockOf: (day: number) => number,
): Pull[] | null {
  if (series.stepDays !== 1) return null
  const cells = cellsOf(series, parts, partOf, blockOf)
  const units = sumsBy(cells, parts, (c) => c.units)
  const days = sumsBy(cells, parts, (c) => c.days)
  const [allUnits, allDays] = [sum(units), sum(days)]
  if (allDays < leastDays || allUnits < leastUnits || days.some((d) => d === 0)) return null
  const { dispersion, freedom } = dispersionOf(
    cells,
    units.map((u, p) => u / (days[p] as number)),
  )
  const rates = Array.from(units, (sold, p) => ({
    sold,
    rest: allUnits - sold,
    share: (days[p] as number) / allDays,
  }))
  const adjusted = falseDiscovery(
    rates.map(({ sold, share }) => {
      const z = (sold - allUnits * share) / Math.sqrt(dispersion * allUnits * share * (1 - share))
      return 2 * cdf(-Math.abs(z), freedom)
    }),
  )
  return rates.map(({ sold, rest, share }, p) => {
    const exposure = share / (1 - share)
    const lift = rest === 0 ? Infinity : sold / rest / exposure - 1
    if ((adjusted[p] as number) > 0.05) return { lift, low: null, high: null, isLift: false }
    const added = (dispersion - 1) / (allUnits * share * (1 - share))
    const { low, high } = scatteredGrowth(sold, rest, exposure, added, freedom)
    return { lift, low, high, isLift: (low ?? -1) > 0 || (high !== null && high < 0) }
  })
}

/** Units of one part of one block. */
interface Cell {
  part: number
  block: number
  units: number
  days: number
}

function cellsOf(
  { start, values }: UnitSeries,
  parts: number,
  partOf: (day: number) => number,
  blockOf: (day: number) => number,
): Cell[] {
  const cells = new Map<number, Cell>()
  values.forEach((value, i) => {
    if (Number.isNaN(value)) return
    const [part, block] = [partOf(start + i), blockOf(start + i)]
    const key = block * parts + part
    const cell = cells.get(key) ?? { part, block, units: 0, days: 0 }
    cell.units += value
    cell.days++
    cells.set(key, cell)
  })
  return [...cells.values()]
}

/** @param usual units a day of each part */
function dispersionOf(cells: readonly Cell[], usual: Float64Array): { dispersion: number; freedom: number } {
  const levels = new Map<number, { units: number; expected: number }>()
  const expected = (c: Cell) => c.days * (usual[c.part] as number)
  for (const c of cells) {
    const level = levels.get(c.block) ?? { units: 0, expected: 0 }
    levels.set(c.block, { units: level.units + c.units, expected: level.expected + expected(c) })
  }
  let square = 0
  for (const c of cells) {
    const level = levels.get(c.block) as { units: number; expected: number }
    const mean = (expected(c) * level.units) / level.expected
    if (mean > 0) square += (c.units - mean) ** 2 / mean
  }
  const freedom = Math.max(1, cells.length - levels.size - usual.length + 1)
  return { dispersion: Math.max(1, square / freedom), freedom }
}

function sumsBy(cells: readonly Cell[], parts: number, of: (cell: Cell) => number): Float64Array {
  const sums = new Float64Array(parts)
  for (const c of cells) sums[c.part] = (sums[c.part] as number) + of(c)
  return sums
}

function sum(values: Float64Array): number {
  return values.reduce((a, b) => a + b, 0)
}
