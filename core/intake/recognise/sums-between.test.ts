import { profileOf, type ColumnProfile } from './column-profile'
import { costsBelow, sumsBetween } from './sums-between'
import { blank } from './test-profile'

const styles = {
  number: { decimal: '.' as const, group: ',' as const },
  order: 'dmy' as const,
  places: { countries: new Set<string>(), languages: new Set<string>() },
}
const price = [4.5, 7.25, 12, 3.99, 20, 8.1]
const units = [3, 5, 2, 10, 7, 4]
const profiles = (...columns: number[][]) => columns.map((cells) => profileOf(cells, styles))

test('price × units is found, whatever the order of the columns', () => {
  const sales = price.map((p, i) => Math.round(p * (units[i] as number) * 100) / 100)
  expect(sumsBetween(profiles(sales, units, price))).toEqual([{ price: 2, units: 1, product: 0 }])
})

test('a column of ones makes no product, nor do figures that agree now and then', () => {
  expect(sumsBetween(profiles(price, [1, 1, 1, 1, 1, 1], price))).toEqual([])
  expect(sumsBetween(profiles(price, units, [13.5, 36.25, 99, 1, 2, 3]))).toEqual([])
})

const profile = (figures: readonly number[], more: Partial<ColumnProfile> = {}): ColumnProfile => ({
  ...blank,
  ...{ filled: figures.length, numeric: 1, max: 100, figures: Float64Array.from(figures) },
  ...more,
})
const product = price.map((p, i) => p * (units[i] as number))
const found = (more: Partial<ColumnProfile>) => sumsBetween([profile(price), profile(units), profile(product, more)])

test('a product is looked for in five or more plain figures alone', () => {
  expect(found({})).toHaveLength(1)
  expect(found({ numeric: 0.91 })).toHaveLength(1)
  expect(found({ numeric: 0.9 })).toEqual([])
  expect(found({ filled: 5 })).toHaveLength(1)
  expect(found({ filled: 4 })).toEqual([])
  expect(found({ percentSign: 0.01 })).toEqual([])
  expect(found({ max: 0.99e8 })).toHaveLength(1)
  expect(found({ max: 1e8 })).toEqual([])
})

test('of two factors the one with cents is the price, else the larger', () => {
  const by = (a: Partial<ColumnProfile>, b: Partial<ColumnProfile>) =>
    sumsBetween([profile(price, a), profile(units, b), profile(product)])[0]?.price
  expect(by({ whole: 0.2 }, { whole: 1 })).toBe(0)
  expect(by({ whole: 1 }, { whole: 0.2 })).toBe(1)
  expect(by({ whole: 1, median: 9 }, { whole: 1, median: 8 })).toBe(0)
  expect(by({ whole: 1, median: 8 }, { whole: 1, median: 9 })).toBe(1)
  expect(by({ whole: 1, median: 8 }, { whole: 1, median: 8 })).toBe(0)
})

/** so many rows of 2 × 5, with a product that is right or off by so much */
const rows = (right: number, wrong: number, off = 1) => {
  const all = Array.from({ length: right + wrong }, (_, i) => 10 + (i < right ? 0 : off))
  return [profile(all.map(() => 2)), profile(all.map(() => 5)), profile(all)] as const
}

test('rows may disagree in one of ten, and cents be rounded', () => {
  expect(sumsBetween(rows(5, 0))).toHaveLength(1)
  expect(sumsBetween(rows(4, 0))).toEqual([])
  expect(sumsBetween(rows(10, 1))).toHaveLength(1)
  expect(sumsBetween(rows(9, 1))).toEqual([])
  expect(sumsBetween(rows(20, 2))).toHaveLength(1)
  expect(sumsBetween(rows(40, 4))).toHaveLength(1)
  expect(sumsBetween(rows(40, 5))).toEqual([])
  // 1.2 % of what the product says
  expect(sumsBetween(rows(4, 1, 0.1))).toHaveLength(1)
  expect(sumsBetween(rows(4, 1, 0.2))).toEqual([])
  // below one, 1.2 % of one
  const small = (off: number) => [
    profile(Array(6).fill(0.2)),
    profile(Array(6).fill(0.3)),
    profile(Array(6).fill(0.06 + off)),
  ]
  expect([sumsBetween(small(0.011)).length, sumsBetween(small(0.013)).length]).toEqual([1, 0])
})

test('rows where a factor is none or one tell nothing, nor do those with a gap', () => {
  const of = (a: number[], b: number[]) => sumsBetween([profile(a), profile(b), profile(a.map((x, i) => x * b[i]!))])
  // 0 × 0 is 0 and 1 × 1 is 1 in whatever column: four rows must tell
  expect(of([2, 2, 2, 2, 0, 0], [3, 3, 3, 3, 9, 9])).toHaveLength(1)
  expect(of([2, 2, 2, 1, 0, 0], [3, 3, 3, 3, 9, 9])).toEqual([])
  expect(of([2, 2, 2, 2, NaN, 7], [3, 3, 3, 3, 5, 1])).toHaveLength(1)
  expect(of([2, 2, 2, NaN, NaN, NaN], [3, 3, 3, 3, 5, 1])).toEqual([])
})

test('more than 24 columns of figures are not looked through', () => {
  const others = (n: number) => Array.from({ length: n }, (_, i) => profile(price.map((p) => p * 1000 + 7 * i)))
  expect(sumsBetween([profile(price), profile(units), ...others(21), profile(product)])).toHaveLength(1)
  expect(sumsBetween([profile(price), profile(units), ...others(22), profile(product)])).toEqual([])
})

describe('what a thing costs beside what it is sold for', () => {
  const amounts = (figures: number[], more: Partial<ColumnProfile> = {}) => profile(figures, { cents: 1, ...more })
  const sold = [10, 20, 30, 40, 50, 60]
  const at = (share: number, more: Partial<ColumnProfile> = {}) =>
    costsBelow([
      amounts(sold),
      amounts(
        sold.map((p) => p * share),
        more,
      ),
    ])

  test('is always well below it, in whichever order', () => {
    expect(at(0.4)).toEqual({ price: 0, cost: 1 })
    expect(at(2.5)).toEqual({ price: 1, cost: 0 })
    expect([at(0.06), at(0.94)]).toEqual(Array(2).fill({ price: 0, cost: 1 }))
    expect([at(0.04), at(0.96), at(1), at(1.04)]).toEqual([null, null, null, null])
    expect([at(1.06), at(19)]).toEqual(Array(2).fill({ price: 1, cost: 0 }))
    expect(at(21)).toBeNull()
  })

  test('but in one row of twenty at the most', () => {
    const of = (below: number, above: number) => {
      const prices = Array(below + above).fill(10) as number[]
      return costsBelow([amounts(prices), amounts(prices.map((_, i) => (i < below ? 4 : 12)))])
    }
    expect(of(39, 1)).toEqual({ price: 0, cost: 1 })
    expect(of(19, 1)).toBeNull()
  })

  test('is told of six pairs above nothing, of two columns of amounts', () => {
    expect(at(0.4, { numeric: 0.9 })).toBeNull()
    expect(at(0.4, { numeric: 0.91 })).not.toBeNull()
    expect(at(0.4, { filled: 5 })).toBeNull()
    expect(at(0.4, { cents: 0.5 })).toBeNull()
    expect(at(0.4, { cents: 0.51 })).not.toBeNull()
    const cost = sold.map((p) => p * 0.4)
    expect(costsBelow([amounts(sold), amounts(cost), amounts(cost)])).toBeNull()
    expect(costsBelow([amounts(sold)])).toBeNull()
    expect(costsBelow([amounts(sold), amounts([0, ...cost.slice(1)])])).toBeNull()
    expect(costsBelow([amounts([0, ...sold.slice(1)]), amounts(cost)])).toBeNull()
    expect(costsBelow([amounts([0, ...sold]), amounts([1, ...cost])])).toEqual({ price: 0, cost: 1 })
  })
})
