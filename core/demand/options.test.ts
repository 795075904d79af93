import { dayNumber } from '../identity'
import { indexOn, monthPartPull, optionLifts, seasonIndex, shareDifference, stageOfLife, withoutSeason } from '.'

const listings = (options: Record<string, string>, sold: number, of: number) =>
  Array.from({ length: of }, (_, i) => ({ options, sold: i < sold }))

test('an option is judged against the rest of its choice, by Newcombe’s interval', () => {
  const lifts = optionLifts([
    ...listings({ Format: 'auction', Promotion: 'none' }, 48, 80),
    ...listings({ Format: 'fixed', Promotion: 'none' }, 56, 70),
    ...listings({ Format: 'swap' }, 3, 3),
    ...listings({}, 5, 9),
  ])
  expect(lifts.map((l) => `${l.choice} ${l.option}`)).toEqual(['Format auction', 'Format fixed'])
  // 56 of 70 against 48 of 80 and 3 of 3
  expect(lifts[1]?.lift).toEqual(shareDifference(56, 70, 51, 83))
  expect(lifts.map((l) => l.isLift)).toEqual([true, true])
  expect(optionLifts([])).toEqual([])
})

test('among many options that do nothing, next to none is called a lift', () => {
  const same = Array.from({ length: 40 }, (_, k) => listings({ Colour: `c${k}` }, 10 + (k % 5), 20)).flat()
  expect(optionLifts(same).filter((l) => l.isLift)).toEqual([])
})

test('parts of the month: a pull of one third is found, by hand; weekly figures tell nothing', () => {
  const start = dayNumber(2026, 1, 1) as number
  const values = Float64Array.from({ length: 120 }, (_, i) =>
    new Date((start + i) * 86_400_000).getUTCDate() <= 10 ? 9 : 3,
  )
  const pulls = monthPartPull({ start, stepDays: 1, values })
  expect(pulls?.map((p) => p.isLift)).toEqual([true, true, true])
  expect(pulls?.[0]?.lift).toBeCloseTo(2, 9)
  expect(monthPartPull({ start, stepDays: 7, values })).toBeNull()
})

const year = seasonIndex(Float64Array.from({ length: 12 }, (_, m) => 1 + 0.5 * Math.cos(((m - 6) / 6) * Math.PI)))

test('a season index runs straight from middle to middle of the months, also over the turn of the year', () => {
  const on = (month: number, day: number) => indexOn(year, dayNumber(2026, month, day) as number)
  expect(on(7, 15)).toBeCloseTo(1.5, 1)
  expect(on(1, 15)).toBeCloseTo(0.5, 1)
  expect(on(12, 31)).toBeCloseTo(((year.months[11] ?? 0) + (year.months[0] ?? 0)) / 2, 1)
})

test('steady goods in their season are ripe, not ripening, once the season is known', () => {
  const start = dayNumber(2025, 12, 3) as number
  const values = Float64Array.from({ length: 180 }, (_, i) => Math.round(20 * indexOn(year, start + i)))
  const series = { start, stepDays: 1 as const, values }
  expect(stageOfLife([series])?.stage).toBe('Ripening')
  const known = stageOfLife([series], { season: year })
  expect(known?.stage).toBe('Ripe')
  expect(known?.growthSeasonless).toBeCloseTo(0, 1)
  expect(known?.growth).toBe(stageOfLife([series])?.growth)
  const flat = withoutSeason(series, year).values
  expect(Math.max(...flat) - Math.min(...flat)).toBeLessThan(2)
})

test('too few units to say that it is steady: unclear, not ripe', () => {
  const values = new Float64Array(180).map((_, i) => (i % 8 === 0 ? 1 : 0))
  expect(stageOfLife([{ start: 20_000, stepDays: 1, values }])?.stage).toBe('Unclear')
  expect(stageOfLife([{ start: 20_000, stepDays: 1, values: values.map((_, i) => 2 + (i % 2)) }])?.stage).toBe('Ripe')
})
