import { quadtree, scaleLinear, scaleLog, type Quadtree } from 'd3'
import type { StoreCriteria, StoreList } from '@sickle/core/stores'
import type { BrushedField } from '../use-box-brush'
import { decades } from './decades'

export interface StorePoint {
  /** place in the list */
  store: number
  x: number
  y: number
  /** radius, px */
  r: number
}

export interface StoreFieldShape {
  points: StorePoint[]
  /** shown stores that have no place, as their age or sales are not known */
  without: number
  /** the largest that have room for their names */
  labels: { store: number; x: number; y: number; anchor: 'start' | 'end' }[]
  /** right and lower edge of the corner of the criteria, px; it begins at the upper left */
  corner: { x: number; y: number }
  area: { left: number; right: number; top: number; bottom: number }
  xTicks: { at: number; value: number }[]
  yTicks: { at: number; value: number }[]
  /** months and sales at a point of the field */
  valueAt: (x: number, y: number) => StoreCriteria
  /** months across and sales up, for a brush */
  spanAt: BrushedField['spanAt']
  placeOf: BrushedField['placeOf']
  /** the point nearest to a place, no further off than so many px */
  nearest: (x: number, y: number, within: number) => StorePoint | null
}

const edge = { left: 44, right: 12, top: 16, bottom: 24 }
/** room above the highest, so that the largest point lies whole within the field, px */
const headroom = 15
/** names shown at the most */
const mostLabels = 12

/**
 * Stores by age in months (across) and sales since they opened (up, logarithmic); a point is as large as what it sells now. Stores of which
 * either is not known have no place, nor those that sold nothing.
 *
 * @param places of the stores that are shown
 */
export function storeField(
  list: StoreList,
  places: ArrayLike<number>,
  { leastSales, mostMonths }: StoreCriteria,
  { width, height }: { width: number; height: number },
): StoreFieldShape {
  const sales = list.figures.unitsTotal as Float64Array
  const placed = Array.from(places).filter((s) => (sales[s] as number) > 0 && (list.age[s] as number) >= 0)
  const area = { left: edge.left, right: width - edge.right, top: edge.top, bottom: height - edge.bottom }
  const oldest = Math.max(mostMonths * 1.25, ...spread(placed, list.age))
  const [low, high] = [
    Math.min(leastSales / 2, ...spread(placed, sales)),
    Math.max(leastSales * 2, ...spread(placed, sales)),
  ]
  const x = scaleLinear([0, oldest * 1.03], [area.left, area.right])
  const y = scaleLog([Math.max(1, low), high], [area.bottom, area.top + headroom])
  const size = sizeOf(list, placed)
  const points = placed.map((store) => ({
    store,
    x: x(list.age[store] as number),
    y: y(sales[store] as number),
    r: size(store),
  }))
  // made when somebody first points at the field
  let tree: Quadtree<StorePoint> | null = null
  const treeNow = () =>
    (tree ??= quadtree(
      points,
      (p) => p.x,
      (p) => p.y,
    ))
  return {
    points,
    without: places.length - placed.length,
    labels: labelsOf(points, list, area),
    corner: { x: x(mostMonths), y: y(leastSales) },
    area,
    // the last ones would lie under the name of the axis
    xTicks: x
      .ticks(6)
      .map((value) => ({ at: x(value), value }))
      .filter((t) => t.at < area.right - 70),
    yTicks: decades(y.domain()).map((value) => ({ at: y(value), value })),
    valueAt: (px, py) => ({
      mostMonths: Math.max(1, Math.round(x.invert(clamp(px, area.left, area.right)))),
      leastSales: roundTo2(y.invert(clamp(py, area.top, area.bottom))),
    }),
    spanAt: (px, py) => ({
      x: Math.round(x.invert(clamp(px, area.left, area.right)) * 10) / 10,
      y: Number(y.invert(clamp(py, area.top, area.bottom)).toPrecision(3)),
    }),
    placeOf: {
      x: (months, open) => (months === null ? open : clamp(x(months), area.left, area.right)),
      y: (units, open) => (units === null ? open : clamp(y(Math.max(units, 1e-9)), area.top, area.bottom)),
    },
    nearest: (px, py, within) => treeNow().find(px, py, within) ?? null,
  }
}

/** smallest and largest; a list of thousands does not go through the arguments of a call */
function spread(places: readonly number[], values: Float64Array): number[] {
  let [low, high] = [Infinity, -Infinity]
  for (const at of places) {
    const value = values[at] as number
    low = Math.min(low, value)
    high = Math.max(high, value)
  }
  return places.length === 0 ? [] : [low, high]
}

const clamp = (v: number, low: number, high: number) => Math.min(high, Math.max(low, v))
/** two figures that count: nobody sets a limit of 10,283 */
const roundTo2 = (v: number) => Number(v.toPrecision(2))

/** Area as units of 30 days; a store of which they are not known is the smallest. */
function sizeOf(list: StoreList, places: readonly number[]): (store: number) => number {
  const units = list.figures.units as Float64Array
  const most = Math.max(
    1,
    ...spread(
      places.filter((s) => !Number.isNaN(units[s])),
      units,
    ),
  )
  const largest = places.length > 10_000 ? 3 : places.length > 2000 ? 6 : 12
  const smallest = places.length > 10_000 ? 1.75 : 2.5
  return (store) => smallest + largest * Math.sqrt(Math.max(0, units[store] || 0) / most)
}

/** Names where there is room, the largest sales first. */
function labelsOf(
  points: readonly StorePoint[],
  { names }: StoreList,
  { left, right }: StoreFieldShape['area'],
): StoreFieldShape['labels'] {
  const taken: { left: number; right: number; y: number }[] = []
  const labels: StoreFieldShape['labels'] = []
  for (const { store, x, y, r } of highest(points)) {
    const long = (names[store] as string).length * 6.4 + r + 6
    const anchor = x + long > right ? 'end' : 'start'
    const [from, to] = anchor === 'start' ? [x, x + long] : [x - long, x]
    if (from < left || taken.some((t) => Math.abs(t.y - y) < 13 && t.left < to && from < t.right)) continue
    taken.push({ left: from, right: to, y })
    labels.push({ store, x: x + (anchor === 'start' ? r + 4 : -r - 4), y: y + 4, anchor })
    if (labels.length === mostLabels) break
  }
  return labels
}

/** names that are tried at the most */
const mostTried = 80

/** Points of the largest sales, highest first. */
function highest(points: readonly StorePoint[]): StorePoint[] {
  if (points.length <= mostTried) return [...points].sort((a, b) => a.y - b.y)
  const heights = Float64Array.from(points, (p) => p.y).sort()
  const least = heights[mostTried - 1] as number
  return points
    .filter((p) => p.y <= least)
    .sort((a, b) => a.y - b.y)
    .slice(0, mostTried)
}
