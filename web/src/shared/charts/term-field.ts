import { scaleLog } from 'd3'
import type { Term } from '@sickle/core/terms'
import { decades } from './decades'

export interface TermPoint {
  term: Term
  x: number
  y: number
}

export interface TermField {
  points: TermPoint[]
  /** points that are named, those of best balance and most searches first, none over another */
  labels: { term: Term; x: number; y: number; anchor: 'start' | 'end' }[]
  /** lines of equal balance, from the left or lower edge to the right or upper one */
  diagonals: { balance: number; x1: number; y1: number; x2: number; y2: number }[]
  /** the corner of good balance as a polygon: many searches, few listings */
  corner: string
  xTicks: { at: number; value: number }[]
  yTicks: { at: number; value: number }[]
}

const edge = { left: 40, right: 10, top: 14, bottom: 22 }

/**
 * Terms over searches a month (across) and competing listings (up), both logarithmic. A diagonal joins terms of equal balance
 * (searches a listing); the shaded corner lies beyond the balance that a quarter of the terms reach.
 */
export function termField(terms: readonly Term[], width: number, height: number): TermField {
  const placed = terms.filter(hasPlace)
  const [xs, ys] = [placed.map((t) => t.searches), placed.map((t) => t.competing as number)]
  const x = scaleLog(spanOf(xs), [edge.left, width - edge.right])
  const y = scaleLog(spanOf(ys), [height - edge.bottom, edge.top])
  const balances = placed.map((t) => t.balance as number).sort((a, b) => b - a)
  const good = balances[Math.floor(balances.length / 4)] ?? 1
  const points = placed.map((term) => ({ term, x: x(term.searches), y: y(term.competing as number) }))
  return {
    points,
    labels: labelsOf(points, width),
    diagonals: [0.01, 0.1, 1, 10, 100, 1000].flatMap((balance) => diagonal(balance, x, y) ?? []),
    corner: cornerOf(good, x, y),
    // the last ones would lie under the name of the axis
    xTicks: decades(x.domain())
      .map((value) => ({ at: x(value), value }))
      .filter((t) => t.at < width - edge.right - 110),
    yTicks: decades(y.domain()).map((value) => ({ at: y(value), value })),
  }
}

/** A term has none where listings or searches are not known, or there are none. */
export function hasPlace({ searches, competing }: Term): boolean {
  return searches > 0 && (competing ?? 0) > 0
}

type LogScale = ReturnType<typeof scaleLog<number, number>>

function spanOf(values: readonly number[]): [number, number] {
  if (values.length === 0) return [1, 1000]
  return [Math.min(...values) / 1.3, Math.max(...values) * 1.3]
}

/** Where searches / listings = balance runs through the field; null where it lies outside. */
function diagonal(balance: number, x: LogScale, y: LogScale): TermField['diagonals'][number] | null {
  const [[x0 = 1, x1 = 1], [y0 = 1, y1 = 1]] = [x.domain(), y.domain()]
  const [from, to] = [Math.max(x0, y0 * balance), Math.min(x1, y1 * balance)]
  if (to <= from * 1.05) return null
  return { balance, x1: x(from), y1: y(from / balance), x2: x(to), y2: y(to / balance) }
}

function cornerOf(balance: number, x: LogScale, y: LogScale): string {
  const line = diagonal(balance, x, y)
  if (!line) return ''
  const [right, bottom] = [x.range()[1] as number, y.range()[0] as number]
  const points = [
    [line.x1, line.y1],
    [line.x2, line.y2],
    [right, line.y2],
    [right, bottom],
    [line.x1, bottom],
  ]
  return points.map((p) => p.map((v) => v.toFixed(1)).join(',')).join(' ')
}

/** Names where there is room, by what a seller looks for first: balance, weighed with searches. */
function labelsOf(points: readonly TermPoint[], width: number): TermField['labels'] {
  const worth = (p: TermPoint) => Math.log(p.term.searches) + Math.log(p.term.balance ?? 1e-9)
  const taken: { left: number; right: number; y: number }[] = []
  const labels: TermField['labels'] = []
  for (const p of [...points].sort((a, b) => worth(b) - worth(a)).slice(0, 60)) {
    const long = p.term.phrase.length * 6.2 + 10
    const anchor = p.x + long > width - edge.right ? 'end' : 'start'
    const [left, right] = anchor === 'start' ? [p.x, p.x + long] : [p.x - long, p.x]
    if (left < edge.left || taken.some((t) => Math.abs(t.y - p.y) < 13 && t.left < right && left < t.right)) continue
    taken.push({ left, right, y: p.y })
    labels.push({ term: p.term, x: p.x + (anchor === 'start' ? 6 : -6), y: p.y + 4, anchor })
    if (labels.length === 14) break
  }
  return labels
}
