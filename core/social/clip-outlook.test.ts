import { tableOf } from '../records/table-of'
import { clipOutlook, clipRules, isPaidWord, itemOutlook, mergeClips, paidRatio, wageE4, type EarningClip } from '.'
import { aClip } from './fixtures/a-clip'

const clips = (...earned: [creator: string, earnedE4: number][]): EarningClip[] =>
  earned.map(([creator, earnedE4]) => ({ creator, earnedE4 }))
const ten = clips(...Array.from({ length: 10 }, (_, i): [string, number] => [`c${i}`, (i + 1) * 100]))

describe('what clips earn', () => {
  test('each creator counts once: nine lucky clips of one do not make the middle', () => {
    const lucky = Array.from({ length: 9 }, (): [string, number] => ['star', 9000])
    const outlook = clipOutlook(clips(...lucky, ['a', 0], ['b', 100]))
    expect(outlook).toMatchObject({ clips: 11, creators: 3, middleE4: 100, upperTenthE4: 9000, range: null })
    expect(outlook?.nothingRatio).toBeCloseTo(1 / 3, 12)
    expect(outlook?.bestClipRatio).toBeCloseTo(9000 / 81_100, 12)
    expect(outlook?.bestCreatorRatio).toBeCloseTo(81_000 / 81_100, 12)
  })
  test('the range is of one more: of ten the first to the last but none', () => {
    // ranks of 11: 1.1 and 9.9, of which the first and the tenth are the nearest outward
    expect(clipOutlook(ten)).toMatchObject({ middleE4: 500, upperTenthE4: 900, range: { lowE4: 100, highE4: 1000 } })
    expect(clipOutlook(ten.slice(0, 9))?.range).toEqual({ lowE4: 100, highE4: 900 })
    expect(clipOutlook(ten.slice(0, 8))?.range).toBeNull()
  })
  test('where a tenth earns nothing the range begins at nothing and leaves a fifth above', () => {
    const outlook = clipOutlook([...ten.slice(2), ...clips(['n', 0], ['o', 0])])
    expect(outlook).toMatchObject({ nothingRatio: 0.2, range: { lowE4: 0, highE4: 900 } })
  })
  test('nothing at all is not known', () => {
    expect(clipOutlook([])).toBeNull()
    expect(clipOutlook(clips(['a', 0]))).toMatchObject({ bestClipRatio: null, bestCreatorRatio: null, middleE4: 0 })
  })
  test('the wage is what is left of it after its cost, by the hour', () => {
    const rules = { ...clipRules, hours: 4, costE4: 20_000, leastWageE4: 50_000 }
    expect([wageE4(220_000, rules), wageE4(0, rules)]).toEqual([50_000, -5_000])
    expect(paidRatio(clips(['a', 220_000], ['a', 219_999], ['b', 0]), rules)).toBe(0.25)
    expect(paidRatio(ten, clipRules)).toBeNull()
    expect(paidRatio([], rules)).toBeNull()
  })
})

describe('an item on clips', () => {
  const item = { listings: new Set(['Loopreel/1']), priceE4: 100_000, commission: 0.2 }
  const rules = clipRules
  test('units at its price, or what was taken, times commission, less what is cancelled', () => {
    const own = [
      aClip({ units: 3 }),
      aClip({ creator: 'b', revenueE4: 500_000, commission: 0.1 }),
      aClip({ creator: 'c' }),
    ]
    const outlook = itemOutlook(own, [], { item, rules })
    // 3 × 10.00 × 20 % and 50.00 × 10 %
    expect(outlook).toMatchObject({
      clips: 2,
      middleE4: 50_000,
      upperTenthE4: 60_000,
      silent: 1,
      by: 'item',
      paidRatio: null,
    })
    const less = itemOutlook(own, [], { item, rules: { ...rules, cancelledRatio: 0.1, leastWageE4: 0 } })
    expect(less).toMatchObject({ middleE4: 45_000, upperTenthE4: 54_000, paidRatio: 1 })
    expect(itemOutlook([aClip({ units: 3 })], [], { item: { ...item, commission: null }, rules })).toBeNull()
    expect(itemOutlook([aClip({ units: 3 })], [], { item: { ...item, priceE4: null }, rules })).toBeNull()
  })
  test('of few creators the category is asked too, scaled by what each item sells, within ten', () => {
    const alike = [
      { clip: aClip({ creator: 'x', units: 2 }), factor: 3 },
      { clip: aClip({ creator: 'y', units: 1 }), factor: 1000 },
      { clip: aClip({ creator: 'z', units: 1 }), factor: null },
      { clip: aClip({ creator: 'v' }), factor: 1 },
    ]
    const outlook = itemOutlook([aClip({ units: 0 })], alike, { item, rules })
    // 0; 6 × 2.00; ten times 2.00
    expect(outlook).toMatchObject({ by: 'category', creators: 3, middleE4: 120_000, upperTenthE4: 200_000 })
    const many = ten.map((c, i) => aClip({ creator: c.creator, units: i }))
    expect(itemOutlook(many, alike, { item, rules })).toMatchObject({ by: 'item', creators: 10 })
    expect(itemOutlook([], alike, { item: { ...item, priceE4: null }, rules })).toBeNull()
  })
})

test('a clip that two files name is one, as the later says; money is in the home currency', () => {
  const capture = (id: string, capturedOn: number, rows: Parameters<typeof tableOf>[1]) => ({
    id,
    kind: 'clips' as const,
    capturedOn,
    windowDays: null as never,
    table: tableOf('clips', rows),
  })
  const one = { market: 'Loopreel', clip: 'c1', id: '1', creator: '@tern', units: 4, revenue: 100_000, currency: 'USD' }
  const merged = mergeClips(
    [
      capture('b', 20, [{ ...one, units: 9, sort: 'Live', paid: 'yes' }]),
      capture('a', 10, [
        one,
        { market: 'Loopreel', id: '1', creator: '@wren' },
        { market: 'Loopreel', creator: '@wren' },
      ]),
    ],
    (currency) => (e4) => (currency === 'USD' && e4 !== null ? e4 / 2 : null),
  )
  expect(merged.map((c) => [c.key, c.units, c.revenueE4, c.isLive, c.isPaid, c.listing])).toEqual([
    ['Loopreel/c1', 9, 50_000, true, true, 'Loopreel/1'],
    ['Loopreel/a 1', null, null, false, null, 'Loopreel/1'],
    ['Loopreel/a 2', null, null, false, null, null],
  ])
})

test.each([
  ['yes', true],
  ['Sí', true],
  ['1', true],
  ['no', false],
  ['organic', false],
  [null, null],
])('%p says that reach was paid for: %p', (word, is) => expect(isPaidWord(word)).toBe(is))
