import { buildCatalog, plainRules } from '../catalog'
import type { Capture, KindName } from '../records'
import { tableOf } from '../records/table-of'
import type { RowRecord } from '../tables'
import { openStore } from './open-store'
import { knownStores } from './store-list'
import { unitsReader, type WindowDays } from './window-units'

const end = 20_604
const capture = (kind: KindName, rows: RowRecord[], windowDays = 30, capturedOn = end): Capture => ({
  id: `${kind}-${windowDays}-${capturedOn}`,
  kind,
  capturedOn,
  windowDays,
  table: tableOf(kind, rows),
})
const listing = (id: string, more: RowRecord = {}): RowRecord => ({
  market: 'Marrowgate',
  id,
  title: `Bell ${id}`,
  store: 'Sill',
  price: 100_000,
  currency: 'EUR',
  ...more,
})
/** Two units on each of the days that end with the last, but on those left out. */
const daily = (id: string, days: number, isLeftOut = (_back: number) => false): RowRecord[] =>
  Array.from({ length: days }, (_, back) => back)
    .filter((back) => !isLeftOut(back))
    .map((back) => ({ market: 'Marrowgate', id, day: end - back, units: 2 }))

async function unitsOf(captures: Capture[], days: WindowDays) {
  const catalog = await buildCatalog(captures)
  return unitsReader(catalog, days)(0)
}

describe('units of a longer window', () => {
  test('are counted where every day is known', async () => {
    const sales = capture('sales', daily('1', 180))
    for (const days of [90, 180] as const)
      expect(await unitsOf([capture('listings', [listing('1')]), sales], days)).toEqual({
        units: 2 * days,
        grade: 'counted',
      })
  })
  test('are scaled up, as an estimate, from seven days of ten, and not known from fewer', async () => {
    const known = (n: number) =>
      capture(
        'sales',
        daily('1', 90, (back) => back > 0 && back < 90 - n + 1),
      )
    const list = capture('listings', [listing('1')])
    expect(await unitsOf([list, known(63)], 90)).toEqual({ units: 180, grade: 'estimated' })
    expect(await unitsOf([list, known(62)], 90)).toBeNull()
  })
  test('are what a market reported for just that window, while it is fresh; 30 days do not stand for 90', async () => {
    const list = (windowDays: number, age: number) => [
      capture('listings', [listing('1', { units: 70 })], windowDays, end - age),
      // the market's windows end with its newest figures
      capture('listings', [listing('2', { units: 1 })], 30, end),
    ]
    expect(await unitsOf(list(90, 45), 90)).toEqual({ units: 70, grade: 'reported' })
    expect(await unitsOf(list(90, 46), 90)).toBeNull()
    expect(await unitsOf(list(30, 0), 90)).toBeNull()
    expect(await unitsOf(list(90, 0), 180)).toBeNull()
  })
})

test('the units of a store are known as the weakest of its listings', async () => {
  const gradeOf = async (rows: RowRecord[], sales: RowRecord[]) => {
    const catalog = await buildCatalog([
      capture('listings', rows),
      ...(sales.length > 0 ? [capture('sales', sales)] : []),
    ])
    const known = knownStores(catalog, [], plainRules('EUR'))
    return openStore(known, catalog, plainRules('EUR'), { market: 'Marrowgate', name: 'Sill' })?.summed.grade
  }
  const counted = daily('1', 30)
  const scaled = daily('2', 30, (back) => back % 10 === 5)
  expect(await gradeOf([listing('1')], counted)).toBe('counted')
  expect(await gradeOf([listing('1'), listing('2', { units: 4 })], counted)).toBe('reported')
  expect(await gradeOf([listing('1'), listing('2'), listing('3', { units: 4 })], [...counted, ...scaled])).toBe(
    'estimated',
  )
  expect(await gradeOf([listing('1')], [])).toBeNull()
})

test('new is what was put up in the last 60 days, and all of it that sells is counted', async () => {
  const rows = [
    listing('1', { listedOn: end - 60, units: 5 }),
    listing('2', { listedOn: end - 61, units: 9 }),
    listing('3', { listedOn: end, units: 0 }),
    listing('4', { units: 7 }),
    ...Array.from({ length: 12 }, (_, i) => listing(`n${i}`, { listedOn: end - 3, units: 1 })),
  ]
  const catalog = await buildCatalog([capture('listings', rows)])
  const rules = plainRules('EUR')
  const look = openStore(knownStores(catalog, [], rules), catalog, rules, { market: 'Marrowgate', name: 'Sill' })
  expect([look?.newListings, look?.newThatSell, look?.newSelling.length]).toEqual([14, 13, 8])
  expect(look?.newSelling[0]).toMatchObject({ title: 'Bell 1', units: 5, daysUp: 60 })
  expect(look?.best.map((l) => l.units).slice(0, 3)).toEqual([9, 7, 5])
})
