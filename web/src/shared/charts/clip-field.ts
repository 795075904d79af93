import { quadtree, scaleLinear, scaleLog } from 'd3'
import type { BrushedField } from '../use-box-brush'
import { decades } from './decades'

export interface ClipPoint {
  /** place in the list */
  place: number
  x: number
  y: number
  r: number
  /** it sold something; what is not known did not */
  hasSold: boolean
  isFound: boolean
}

export interface ClipFieldShape extends BrushedField {
  points: ClipPoint[]
  /** clips of which day or views are not known, or without a view */
  without: number
  xTicks: { at: number; value: number }[]
  yTicks: { at: number; value: number }[]
  /** the point nearest to a place, no further off than so many px */
  nearest: (x: number, y: number, within: number) => ClipPoint | null
}

interface Clips {
  places: ArrayLike<number>
  age: ArrayLike<number>
  views: ArrayLike<number>
  units: ArrayLike<number>
  isFound: ArrayLike<number>
}

const edge = { left: 44, right: 14, top: 16, bottom: 24 }
const [smallest, largest] = [2, 13]

/** Clips by age in days (across, the newest at the right) and views (up, logarithmic); a point is as large as what it sold. */
export function clipField(
  { places, age, views, units, isFound }: Clips,
  { width, height }: { width: number; height: number },
): ClipFieldShape {
  const rows = Array.from({ length: places.length }, (_, i) => i).filter(
    (i) => (age[i] as number) >= 0 && (views[i] as number) > 0,
  )
  const most = (of: ArrayLike<number>) => rows.reduce((m, i) => Math.max(m, of[i] || 0), 1)
  const least = rows.reduce((m, i) => Math.min(m, views[i] as number), Infinity)
  const area = { left: edge.left, right: width - edge.right, top: edge.top, bottom: height - edge.bottom }
  const x = scaleLinear([most(age) * 1.02, 0], [area.left, area.right])
  const y = scaleLog([Math.max(1, Math.min(least, most(views) / 10)), most(views)], [area.bottom, area.top + largest])
  const top = most(units)
  const points = rows.map((i) => ({
    place: places[i] as number,
    x: x(age[i] as number),
    y: y(views[i] as number),
    r: smallest + (largest - smallest) * Math.sqrt((units[i] || 0) / top),
    hasSold: (units[i] as number) > 0,
    isFound: isFound[i] === 1,
  }))
  const tree = quadtree(
    points,
    (p) => p.x,
    (p) => p.y,
  )
  return {
    points,
    without: places.length - rows.length,
    area,
    xTicks: x.ticks(6).map((value) => ({ at: x(value), value })),
    yTicks: decades(y.domain()).map((value) => ({ at: y(value), value })),
    spanAt: (px, py) => ({
      x: Math.round(x.invert(clamp(px, area.left, area.right))),
      y: Number(y.invert(clamp(py, area.top, area.bottom)).toPrecision(2)),
    }),
    placeOf: {
      x: (days, open) => (days === null ? open : clamp(x(days), area.left, area.right)),
      y: (seen, open) => (seen === null ? open : clamp(y(Math.max(seen, 1e-9)), area.top, area.bottom)),
    },
    nearest: (px, py, within) => tree.find(px, py, within) ?? null,
  }
}

const clamp = (v: number, low: number, high: number) => Math.min(high, Math.max(low, v))
