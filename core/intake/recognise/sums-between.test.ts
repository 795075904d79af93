import { profileOf } from './column-profile'
import { sumsBetween } from './sums-between'

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
