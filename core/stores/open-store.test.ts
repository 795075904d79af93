import { openStore } from './open-store'
import { capture, days, end, euro, knownOf, listing } from './test-stores'

const even = (n: number, units: number) => Array.from({ length: n }, () => units)

async function open(...args: Parameters<typeof knownOf>) {
  const { catalog, rules, known } = await knownOf(...args)
  return openStore(known, catalog, rules, { market: 'Marrowgate', name: 'Sill' })
}

test('windows sum only what speaks of them, lifetime too, and say how it is known', async () => {
  const look = await open([
    capture('listings', [
      listing('1', { units: 30, unitsTotal: 500, price: 100_000, variations: 1 }),
      listing('2', { units: 6, unitsTotal: null, price: 200_000, variations: 4 }),
      listing('3', { units: null, unitsTotal: 40, price: 50_000 }),
      // what sold none makes no sum an upper bound
      listing('4', { units: 0, unitsTotal: null, price: 900_000, variations: 9 }),
    ]),
    capture('sales', days('1', even(90, 1))),
  ])
  const [w30, w90, w180, all] = look!.windows
  // 30 at 10.00 and 6 at 20.00; of the second the price of one variation is headed
  expect(w30).toEqual({
    days: 30,
    units: 36,
    revenueE4: 4_200_000,
    known: 3,
    grade: 'reported',
    revenueIs: 'upper',
  })
  expect(w90).toMatchObject({ units: 90, known: 1, revenueE4: 9_000_000, grade: 'counted', revenueIs: 'asked' })
  expect(w180).toMatchObject({ units: null, revenueE4: null, known: 0, grade: null })
  expect(all).toMatchObject({ days: 'all', units: 540, known: 2, revenueIs: 'unknown' })
  expect(look!.distinctItems).toBe(4)
  expect(look!.windowEnd).toBe(end)
  const unsold = await open([
    capture('listings', [listing('1', { variations: 1 }), listing('2', { units: 0, variations: 9 })]),
  ])
  expect(unsold!.windows[0]?.revenueIs).toBe('asked')
})

test('the curve steps from listing to listing, best first, over those whose units are known', async () => {
  const look = await open([
    capture('listings', [
      listing('1', { units: 1 }),
      listing('2', { units: 6 }),
      listing('3', { units: null }),
      listing('4', { units: 3 }),
    ]),
  ])
  expect(look!.curve.map((c) => [c.at.key, c.units])).toEqual([
    ['Marrowgate/2', 0.6],
    ['Marrowgate/4', 0.9],
    ['Marrowgate/1', 1],
  ])
  expect(look!.best.map((l) => l.units)).toEqual([6, 3, 1])
  expect(look!.makes80).toBe(2)
})

test('what fell silent is told by more than chance, not what never sold much nor what was not counted', async () => {
  const steadily = [...even(90, 1), ...even(30, 0)]
  const look = await open([
    capture(
      'listings',
      ['gone', 'rare', 'lives', 'uncounted', 'never'].map((id) => listing(id, {})),
    ),
    capture('sales', [
      ...days('gone', steadily),
      ...days('rare', [...even(88, 0), 1, 1, ...even(30, 0)]),
      ...days('lives', even(120, 1)),
      // of half of the last days nobody knows
      ...days('uncounted', [...even(90, 1), ...Array.from({ length: 15 }, () => null), ...even(15, 0)]),
      ...days('never', even(120, 0)),
    ]),
  ])
  expect(look!.stopped.map((s) => s.listing.key)).toEqual(['Marrowgate/gone'])
  const [gone] = look!.stopped
  expect(gone!.expected).toBeCloseTo(30, 9)
  expect(gone!.lastSold).toBe(end - 30)
  expect([look!.stoppedJudged, look!.stoppedCount]).toEqual([3, 1])
})

test('dropped is what the newest list of the whole store leaves out, not what a look at a part of it does', async () => {
  const before = capture(
    'listings',
    ['1', '2', '3', '4'].map((id) => listing(id, { unitsTotal: Number(id) })),
    {
      capturedOn: end - 40,
    },
  )
  const whole = await open([
    before,
    capture(
      'listings',
      ['1', '2', '5'].map((id) => listing(id, {})),
    ),
  ])
  expect(whole!.dropped).toMatchObject({ since: end, listings: [{ key: 'Marrowgate/4' }, { key: 'Marrowgate/3' }] })
  expect(whole!.droppedCount).toBe(2)
  const part = await open([before, capture('listings', [listing('1', {})])])
  expect(part!.dropped).toEqual({ since: null, listings: [] })
  expect((await open([before]))!.dropped.since).toBeNull()
})

test('months in which it put things up are there whether it did or not; the running month is no part of the pace', async () => {
  // the window ends on 31 May 2026
  const on = (day: number) => ({ listedOn: day })
  const look = await open([
    capture('listings', [
      listing('1', { ...on(end - 100), units: 4 }), // 20 February
      listing('2', { ...on(end - 99), units: 0 }),
      listing('3', { ...on(end - 20), units: 2 }), // 11 May
      listing('4', { listedOn: null }),
    ]),
  ])
  expect(look!.putUp).toEqual({
    months: [
      { month: '2026-02', count: 2, sold: 1 },
      { month: '2026-03', count: 0, sold: 0 },
      { month: '2026-04', count: 0, sold: 0 },
      { month: '2026-05', count: 1, sold: 1 },
    ],
    perMonth: 2 / 3,
    known: 3,
  })
  expect([look!.newListings, look!.newThatSell]).toEqual([1, 1])
  expect(look!.newSelling.map((l) => [l.key, l.daysUp])).toEqual([['Marrowgate/3', 20]])
})

test('a store that only a list names, one of a single listing, and one that nothing names', async () => {
  const list = capture('stores', [{ market: 'Marrowgate', store: 'Sill', unitsTotal: 9000, listings: 40 }])
  const { catalog, known } = await knownOf([list])
  const only = openStore(known, catalog, euro, { market: 'Marrowgate', name: 'Sill' })
  expect(only).toMatchObject({
    stated: { unitsTotal: 9000 },
    summed: { listings: 0, units: null, sellThrough: null },
    distinctItems: 0,
    topFifth: null,
    curve: [],
    series: null,
    life: null,
    windowEnd: null,
    putUp: { perMonth: null, known: 0 },
  })
  const one = await open([capture('listings', [listing('1', { units: 5 })])])
  expect(one).toMatchObject({ topFifth: 1, makes80: 1, distinctItems: 1, summed: { listings: 1, units: 5 } })
  expect(openStore(known, catalog, euro, { market: 'Gavelhop', name: 'Sill' })).toBeNull()
})

test('the whole goes as its listings go together', async () => {
  const look = await open([
    capture('listings', [listing('1', {}), listing('2', {}), listing('3', {})]),
    capture('sales', [...days('1', even(120, 2)), ...days('2', even(120, 3))]),
  ])
  expect(look!.seriesKnown).toBe(2)
  expect([...look!.series!.values.slice(-3)]).toEqual([5, 5, 5])
  expect(look!.life).toMatchObject({ stage: 'Ripe', growth: 0 })
})
