import type { Item } from '@sickle/core/catalog'
import { addSeries, type UnitSeries } from '@sickle/core/demand'
import { whoseDays } from './course-words'

const days = (start: number, values: number[]): UnitSeries => ({
  start,
  stepDays: 1,
  values: Float64Array.from(values),
})
const whole = days(100, [1, 2, 3, 4])
const said = (list: (UnitSeries | null)[]) =>
  whoseDays({
    series: addSeries(list.flatMap((s) => s ?? [])),
    listings: list.map((series) => ({ series })),
  } as unknown as Pick<Item, 'series' | 'listings'>)

test('nothing is said where every listing knows every day, or nobody any', () => {
  expect(said([whole, whole])).toBe('')
  expect(said([whole])).toBe('')
  expect(said([null, null])).toBe('')
  // one day of ten that nobody counted is no matter, two are
  const ten = Array.from({ length: 10 }, () => 2)
  expect(said([days(100, ten), days(100, [NaN, ...ten.slice(1)])])).toBe('')
  expect(said([days(100, ten), days(102, ten.slice(2))])).toContain('1 of 2 listings knows')
})

test('listings that show no days are told, and those that know a part of them', () => {
  expect(said([whole, null])).toBe('The course is the sum of 1 of 2 listings.')
  expect(said([whole, days(102, [5, 6])])).toBe(
    '1 of 2 listings knows only a part of these days, so it lies too low there.',
  )
  expect(said([whole, days(100, [1, 2])])).toContain('1 of 2 listings knows')
  expect(said([whole, days(100, [1, NaN, 3, 4]), days(101, [1, 1, 1])])).toBe(
    '2 of 3 listings know only a part of these days, so it lies too low there.',
  )
  expect(said([whole, days(102, [5, 6]), null])).toBe(
    'The course is the sum of 2 of 3 listings; 1 of 2 knows only a part of these days, so it lies too low there.',
  )
})
