import type { Cell } from '../../notation'
import { profileOf, type ColumnProfile } from './column-profile'
import { holdingOf } from './holding'
import { costsBelow, sumsBetween } from './sums-between'
import { suretyOf } from './surety'

const styles = {
  number: { decimal: '.' as const, group: ',' as const },
  order: 'dmy' as const,
  places: { countries: new Set(['irland']), languages: new Set(['polski']) },
}
const profile = (...cells: Cell[]) => profileOf(cells, styles)

test('shares are of the cells that are not blank', () => {
  expect(profile(1, '2.50', 'x', null, '', -4)).toMatchObject({
    filled: 4,
    numeric: 0.75,
    whole: 2 / 3,
    negative: 1 / 3,
    min: -4,
    max: 2.5,
    median: 1,
  })
  expect(profile(null, '')).toMatchObject({ filled: 0, numeric: 0, whole: 0, distinct: 0, words: 0, length: 0 })
  expect([...profile(1, null, 'x', '3,000').figures]).toEqual([1, NaN, NaN, 3000])
  expect(profile(Infinity, 'x'.repeat(41)).numeric).toBe(0)
})

test('the highest but a few, and the middle', () => {
  const hundred = profile(...Array.from({ length: 101 }, (_, i) => i))
  expect(hundred).toMatchObject({ min: 0, max: 100, high: 96, median: 50 })
  // no more than 240 cells are looked at
  expect(profile(...Array.from({ length: 300 }, (_, i) => i))).toMatchObject({ filled: 240, max: 239 })
})

const shares: [keyof ColumnProfile, Cell[], Cell[]][] = [
  ['cents', ['12.50', '€ 3,9', '1.200,50 zł', "1'200.00"], ['12', '1.505', 'twelve.50 euros each', '']],
  ['percentSign', ['12 %', '3%'], ['% 12', '12']],
  ['currencySign', ['€ 12', '12 zł', 'EUR 5'], ['12', 'EUR', '-12.00', 'about € 12 for the whole lot']],
  ['day', ['2026-05-01', '31/12/2025'], ['31/13/2025', 'soon', 46_000]],
  ['serialDay', [36_500, 62_000, 1e9, 2.2e9, 1e12, 2.2e12, 20_260_531], [36_499, 62_001, 2.3e9, 9e11, 2.3e12]],
  [
    'serialDay',
    [19_700_102, 21_001_230, 20_260_101, 20_261_231],
    [19_700_101, 21_001_231, 20_260_500, 20_260_532, 20_261_301],
  ],
  ['gtin', ['4006381333931', '0036000291452'], ['4006381333930', '1234567', 'a4006381333931']],
  ['currencyCode', ['EUR', 'gbp'], ['EURO', 'xyq', '€']],
  [
    'address',
    ['https://a.example/b', 'www.a.example', '//a.example', 'shop.example/x'],
    ['a.example', 'http', 'see https://a.example'],
  ],
  ['pictureAddress', ['a.jpg', 'b.JPEG', 'c.png?w=3', 'd.webp'], ['jpg', 'a.jpg.txt', 'a.pdf']],
  ['handle', ['@moss', '@moss.mug-1'], ['moss', '@', '@moss mug']],
  [
    'lead',
    ['3-5', '3 – 5', '7 days', 'in 5 Tagen', '3 to 5 days'],
    ['days', '1234567 days', '3-5 days and then some more of them all'],
  ],
  ['tiers', ['1:4.71; 10:4.20', '5:3'], ['10', 'a:b']],
  ['path', ['Garden > Feeders', 'Home/Kitchen', 'A|B'], ['Garden', '1/2', 'http://a/b']],
  ['code', ['HP-107', '12', 'a1'], ['HP 107', 'HP', '']],
  ['country', ['Irland', 'IRLAND'], ['Island', 'Irland is an island that lies to the west of another']],
  ['language', ['polski'], ['polskie']],
  ['sentence', ['Arrived quickly.', 'What is this there?'], ['Arrived.', 'Arrived quickly']],
  ['lower', ['abc', 'a1'], ['Abc', 'ABC']],
]
test.each(shares)('%s is the share of cells that are', (name, are, arenot) => {
  expect(are.map((c) => [c, profile(c)[name]])).toEqual(are.map((c) => [c, 1]))
  expect(arenot.map((c) => [c, profile(c)[name]])).toEqual(arenot.map((c) => [c, 0]))
  expect(profile(are[0]!, arenot[0]!)[name]).toBe(0.5)
})

test('how cells compare with each other, and how long they are', () => {
  expect(profile('ab c', 'ab c', 'abcdef d e')).toMatchObject({
    distinct: 2 / 3,
    sameLength: 2 / 3,
    words: 7 / 3,
    length: 6,
  })
  expect(profile(1, 2, 2, 5, 4).rising).toBe(0.5)
  expect([profile(1).rising, profile(1, 2).rising, profile(1, 2, 3).rising]).toEqual([0, 1, 1])
  expect(profile('yes', 'no', 'perhaps').listed).toMatchObject({ yesNo: 2 / 3, verdicts: 2 / 3, goods: 0 })
  expect(profile('NEEDS_APPROVAL').listed.verdicts).toBe(1)
})

test('what a column holds is what more than six in ten of its cells are', () => {
  const of = (many: number, cell: Cell, other: Cell) => [
    ...Array<Cell>(many).fill(cell),
    ...Array<Cell>(10 - many).fill(other),
  ]
  expect([holdingOf(of(7, '2026-05-01', 'x')), holdingOf(of(6, '2026-05-01', 'x'))]).toEqual(['days', 'words'])
  expect([holdingOf(of(7, 4, 'x')), holdingOf(of(7, '1,200', 'x')), holdingOf(of(6, 4, 'x'))]).toEqual([
    'figures',
    'figures',
    'words',
  ])
  // blanks count for nothing
  expect(holdingOf([4, null, '', ' '])).toBe('figures')
  expect(holdingOf([null, ''])).toBe('nothing')
  expect(holdingOf(['31/12/2025', '12/31/2025'])).toBe('days')
})

test('sure is what its heading names, its cells bear out and much would be lost by; likely is half of it', () => {
  const told = (regret: number, heading: number, values = 0) => suretyOf({ regret, heading, values })
  expect([told(3, 0.7), told(2.9, 0.7), told(3, 0.69), told(3, 0.7, -1), told(3, 0.7, -0.9)]).toEqual([
    'sure',
    'likely',
    'likely',
    'likely',
    'sure',
  ])
  expect([told(1, 0.4), told(0.9, 0.4), told(1, 0.39)]).toEqual(['likely', 'unsure', 'unsure'])
})

describe('columns that are what others come to', () => {
  const price = [4.5, 7.25, 12.4, 3.99, 20.1, 8.1, 5.55, 9.05]
  const units = [3, 5, 2, 10, 7, 4, 6, 8]
  const times = price.map((p, i) => p * units[i]!)
  const sums = (...columns: Cell[][]) => sumsBetween(columns.map((c) => profileOf(c, styles)))
  /** Two columns, and a third that is their product. */
  const withProduct = (a: number[], b: number[]) =>
    sums(
      a,
      b,
      a.map((v, i) => v * b[i]!),
    )
  test('are told by rows that agree to a hundredth and a bit; one in ten may not', () => {
    expect(sums(price, units, times)).toEqual([{ price: 0, units: 1, product: 2 }])
    const off = (by: number, ...at: number[]) => times.map((v, i) => (at.includes(i) ? v * by : v))
    expect(sums(price, units, off(1.011, 0, 1, 2, 3))).toHaveLength(1)
    expect(sums(price, units, off(1.013, 0, 1, 2, 3))).toEqual([])
    // one of eight is more than a tenth of the seven that are right
    expect(sums(price, units, off(2, 0))).toEqual([])
    const twice = (c: number[]) => [...c, ...c]
    expect(sums(twice(price), twice(units), off(2, 0).concat(times))).toHaveLength(1)
  })
  test('take five rows, four of which tell something, and no shares or huge figures', () => {
    const cut = (n: number) => [price, units, times].map((c) => c.slice(0, n))
    expect(sums(...cut(5))).toHaveLength(1)
    expect(sums(...cut(4))).toEqual([])
    const ones = [1, 1, 1, 1, 7, 4, 6, 8]
    expect(withProduct(price, ones)).toHaveLength(1)
    const more = [1, 1, 1, 1, 1, 4, 6, 8]
    expect(withProduct(price, more)).toEqual([])
    expect(
      sums(
        price,
        units.map((u) => `${u} %`),
        times,
      ),
    ).toEqual([])
    expect(
      sums(
        price.map((p) => p * 1e8),
        units,
        times.map((p) => p * 1e8),
      ),
    ).toEqual([])
  })
  test('where both factors are as whole, the larger is the price', () => {
    const whole = [30, 20, 50, 40, 60, 80]
    expect(withProduct(units.slice(0, 6), whole)).toEqual([{ price: 1, units: 0, product: 2 }])
    expect(withProduct(whole, units.slice(0, 6))).toEqual([{ price: 0, units: 1, product: 2 }])
  })

  const money = (list: number[]) => list.map((v) => v.toFixed(2))
  const below = (...columns: Cell[][]) => costsBelow(columns.map((c) => profileOf(c, styles)))
  test('what a thing costs is always below what it is sold for, by a twentieth at least', () => {
    expect(below(money(price), money(price.map((p) => p * 0.6)))).toEqual({ price: 0, cost: 1 })
    expect(below(money(price.map((p) => p * 0.6)), money(price))).toEqual({ price: 1, cost: 0 })
    expect(below(money(price), money(price.map((p) => p * 0.97)))).toBeNull()
    expect(below(money(price.map((p) => 100 * p)), money(price.map((p) => p * 4)))).toBeNull()
    // beside a third amount nobody can say, nor of five rows
    expect(below(money(price), money(price.map((p) => p * 0.6)), money(price.map((p) => p * 0.3)))).toBeNull()
    expect(below(money(price.slice(0, 6)), money(price.slice(0, 6).map((p) => p * 0.6)))).not.toBeNull()
    expect(below(money(price.slice(0, 5)), money(price.slice(0, 5).map((p) => p * 0.6)))).toBeNull()
    expect(below(units, money(price))).toBeNull()
  })
})
