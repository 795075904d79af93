import type { Branch } from '@sickle/core/engine'
import type { Term } from '@sickle/core/terms'
import { icicle } from './icicle'
import { priceBars } from './price-bars'
import { seasonRing } from './season-ring'
import { termField } from './term-field'

const branch = (path: string, revenueE4: number, ratio: number | null) =>
  ({
    path,
    parent: path === '' ? null : path.split(' / ').slice(0, -1).join(' / '),
    items: 1,
    revenueE4,
    sellThrough: ratio === null ? null : { ratio, low: 0, high: 1 },
  }) as Branch

test('icicle: width is sales, a level a row, children within their parent, shade between worst and best', () => {
  const tree = [branch('', 900, 0.5), branch('A', 600, 0.4), branch('A / B', 600, 0.9), branch('C', 300, null)]
  const { cells, shades } = icicle(tree, '', { width: 300, height: 90, levels: 4 })
  const at = (path: string) => cells.find((c) => c.branch.path === path)
  expect(at('')).toMatchObject({ x: 0, y: 0, width: 300, height: 30 })
  expect(at('A')?.width).toBeCloseTo(200, 0)
  expect(at('C')).toMatchObject({ shade: null })
  expect(at('A / B')).toMatchObject({ x: at('A')?.x, width: at('A')?.width, y: 60, shade: 1 })
  expect(at('A')?.shade).toBe(0)
  expect(shades).toEqual([0.4, 0.9])
  expect(icicle(tree, 'A', { width: 300, height: 90, levels: 4 }).cells.map((c) => c.branch.path)).toEqual([
    'A',
    'A / B',
  ])
  expect(icicle([], '', { width: 300, height: 90, levels: 4 }).cells).toEqual([])
})

test('field: ten times the searches lie as far right wherever; equal balance lies on one line; no place for no listings', () => {
  const term = (phrase: string, searches: number, competing: number | null) =>
    ({ key: phrase, phrase, searches, competing, balance: competing ? searches / competing : null }) as Term
  const terms = [
    term('a', 100, 10),
    term('b', 1000, 100),
    term('c', 10_000, 100),
    term('d', 50, 0),
    term('e', 60, null),
  ]
  const { points, diagonals, labels } = termField(terms, 500, 300)
  const at = (key: string) => points.find((p) => p.term.key === key) ?? { x: NaN, y: NaN }
  expect(points).toHaveLength(3)
  expect(at('b').x - at('a').x).toBeCloseTo(at('c').x - at('b').x, 6)
  expect(at('b').y).toBeCloseTo(at('c').y, 6)
  const line = diagonals.find((d) => d.balance === 10) ?? { x1: 0, y1: 0, x2: 0, y2: 0 }
  const off = ({ x, y }: { x: number; y: number }) =>
    (x - line.x1) / (line.x2 - line.x1) - (y - line.y1) / (line.y2 - line.y1)
  expect(off(at('a'))).toBeCloseTo(0, 6)
  expect(off(at('b'))).toBeCloseTo(0, 6)
  expect(off(at('c'))).not.toBeCloseTo(0, 1)
  expect(labels[0]?.term.key).toBe('c')
  expect(termField([], 500, 300).points).toEqual([])
})

test('ring: twice the searches is twice the area of the sector; what is not known has no index', () => {
  const { months } = seasonRing([2, 1, 1, 1, 1, 1, 1, 1, 1, 1, 1, null], 100)
  expect(months[11]?.index).toBeNull()
  expect((months[0]?.index ?? 0) / (months[1]?.index ?? 1)).toBeCloseTo(2, 9)
  const inner = 26
  const outer = (path: string) => Math.max(...[...path.matchAll(/A(\d+(?:\.\d+)?),/g)].map((m) => Number(m[1])))
  const area = (m: number) => outer(months[m]?.path ?? '') ** 2 - inner ** 2
  expect(area(0) / area(1)).toBeCloseTo(2, 1)
})

test('price bars: even steps, no sliver, and shares of listings and of units that make one each', () => {
  const prices = [10, 12, 12, 19, 40].map((p, i) => ({ priceE4: p, units: [6, 0, 2, null, 2][i] ?? null }))
  const { bars } = priceBars(prices, 300, 60)
  expect(new Set(bars.map((b) => b.width.toFixed(6))).size).toBe(1)
  expect(bars.map((b) => Number(b.asked.toFixed(2)))).toEqual([0.6, 0.2, 0, 0, 0.2])
  expect(bars.map((b) => Number(b.sold.toFixed(2)))).toEqual([0.8, 0, 0, 0, 0.2])
  expect(Math.max(...bars.map((b) => b.soldHeight))).toBeCloseTo(60, 6)
})
