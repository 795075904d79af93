import fc from 'fast-check'
import { applyEvents, expectedMonthly, worthOf, type DecisionEvent } from '.'

const rules = {
  name: 'test',
  parts: [
    { measure: 'a', label: 'A', zero: 0, one: 10, weight: 1 },
    { measure: 'b', label: 'B', zero: 100, one: 0, weight: 3, must: true },
  ],
}

test('the weighted geometric mean of Derringer & Suich (1980), by hand', () => {
  // d(a) = 0.5, d(b) = 0.8 (smaller is better): 100 × (0.5¹ × 0.8³)^(1/4)
  expect(worthOf({ a: 5, b: 20 }, rules).value).toBeCloseTo(100 * (0.5 * 0.8 ** 3) ** 0.25, 10)
})
test('a failed must gives 0 and is named', () =>
  expect(worthOf({ a: 10, b: 100 }, rules)).toMatchObject({ value: 0, failed: ['B'] }))
test('a missing measure lowers coverage, not Worth', () => {
  expect(worthOf({ a: null, b: 20 }, rules)).toMatchObject({ value: expect.closeTo(80, 8) as number, coverage: 0.75 })
  expect(worthOf({}, rules)).toMatchObject({ value: null, coverage: 0 })
})
test('of less than half of the weights, or without a must, there is no Worth; a must that fails still says so', () => {
  expect(worthOf({ a: 10 }, rules)).toMatchObject({ value: null, lacking: ['B'] })
  const light = { name: 'light', parts: rules.parts.map((p) => ({ ...p, weight: p.must ? 2 : 3 })) }
  expect(worthOf({ b: 20 }, light)).toMatchObject({ value: null, coverage: 0.4, lacking: [] })
  expect(worthOf({ b: 100 }, light)).toMatchObject({ value: 0, failed: ['B'] })
  const half = { name: 'half', parts: light.parts.map((p) => ({ ...p, weight: 1 })) }
  expect(worthOf({ b: 20 }, half).value).toBeCloseTo(80, 8)
})
test('Worth lies between 0 and 100 and never falls when a part gets better', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -20, max: 20, noNaN: true }),
      fc.double({ min: -50, max: 150, noNaN: true }),
      (a, b) => {
        const here = worthOf({ a, b }, rules).value as number
        expect(here >= 0 && here <= 100 + 1e-9).toBe(true)
        expect(worthOf({ a: a + 1, b }, rules).value).toBeGreaterThanOrEqual(here - 1e-9)
        expect(worthOf({ a, b: b - 1 }, rules).value).toBeGreaterThanOrEqual(here - 1e-9)
      },
    ),
  )
})

const snapshot = { title: 'x', picture: null, profitE4: 20_000, units: 30, listings: 2 }
const event = (key: string, action: DecisionEvent['action'], text = ''): DecisionEvent => ({
  at: 1,
  key,
  action,
  text,
  snapshot,
})

test('the last decision on an item holds; a note does not change it; clear takes it back', () => {
  const d = applyEvents([
    event('a', 'keep'),
    event('b', 'drop', 'fragile'),
    event('a', 'note', 'call'),
    event('a', 'hold', 'season'),
  ])
  expect(d.get('a')).toMatchObject({ state: 'hold', reason: 'season', note: 'call' })
  expect(d.get('b')).toMatchObject({ state: 'drop', reason: 'fragile' })
  expect(applyEvents([event('a', 'keep'), event('a', 'clear')]).size).toBe(0)
})
test('undo is a shorter run of the same events', () => {
  const events = [event('a', 'keep'), event('b', 'keep'), event('a', 'drop')]
  expect(applyEvents(events.slice(0, 2)).get('a')?.state).toBe('keep')
})
test('expected profit: an even share with one seller more, unknowns counted as unknown', () => {
  // 2.00 × 30 / 3 = 20.00
  expect(expectedMonthly([snapshot, { ...snapshot, profitE4: null }])).toEqual({ e4: 200_000, known: 1, of: 2 })
})
