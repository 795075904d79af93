import { crowdingOf, makeFigures } from '../engine'
import { numberIn, textIn, type RowRecord } from '../tables'
import { buildCatalog, ItemMaker, noCorrections, plainRules } from '.'
import { ClipsOfItem } from './clips-of-item'
import { captureOf } from './test-maker'

const clip = { creator: '@tern', sort: 'clip', paid: 'no', day: 100, units: 4, end: 100 }

test('clips of the window, their units, lives among them, and who joined of late, by hand', () => {
  const of = new ClipsOfItem()
  of.add('a', clip)
  of.add('b', { ...clip, day: 71, units: 6, sort: 'live', creator: '@wren' }) // the first day of 30
  of.add('c', { ...clip, day: 70, units: 50 }) // the day before it
  of.add('d', { ...clip, day: 73, units: null, paid: null, creator: '@sill' }) // 27 days ago: joined of late
  of.add('e', { ...clip, day: 72, units: 10, paid: 'yes', creator: '@moss' }) // 28 days ago: not any more
  expect(of.reach()).toEqual({ clips30: 4, clipUnits30: 20, liveUnits30: 6, unpaidRatio: 60 / 70, joined28: 1 })
})

test('a later record of the same clip counts; one of after the window does not', () => {
  const of = new ClipsOfItem()
  of.add('a', { ...clip, units: 4 })
  of.add('a', { ...clip, units: 9 })
  of.add('b', { ...clip, day: 101, units: 100 })
  expect(of.reach()).toMatchObject({ clips30: 1, clipUnits30: 9, joined28: 1 })
})

test('what nobody says is not known, and not nothing', () => {
  expect(new ClipsOfItem().reach()).toEqual({
    clips30: null,
    clipUnits30: null,
    liveUnits30: null,
    unpaidRatio: null,
    joined28: null,
  })
  const silent = new ClipsOfItem()
  silent.add('a', { ...clip, units: null, paid: null })
  expect(silent.reach()).toMatchObject({ clips30: 1, clipUnits30: null, liveUnits30: null, unpaidRatio: null })
  const old = new ClipsOfItem()
  old.add('a', { ...clip, day: 10, units: 0 })
  expect(old.reach()).toMatchObject({
    clips30: 0,
    clipUnits30: null,
    liveUnits30: null,
    unpaidRatio: null,
    joined28: 0,
  })
  const clipsAlone = new ClipsOfItem()
  clipsAlone.add('a', clip)
  expect(clipsAlone.reach().liveUnits30).toBe(0)
})

test.each([
  [null, null],
  [0, 'hardly any (under 100)'],
  [99, 'hardly any (under 100)'],
  [100, 'little (100–999)'],
  [999, 'little (100–999)'],
  [1_000, 'workable (1,000–5,000)'],
  [5_000, 'workable (1,000–5,000)'],
  [5_001, 'busy (5,001–10,000)'],
  [10_000, 'busy (5,001–10,000)'],
  [10_001, 'crowded (over 10,000)'],
])('%s creators are %s', (creators, band) => expect(crowdingOf(creators)).toBe(band))

test('shares of an item’s sales by clips, by lives and by the shop, and growth over longer windows', async () => {
  const end = 20_020
  const days = (units: (day: number) => number) =>
    Array.from({ length: 180 }, (_, d) => ({ market: 'Loopreel', id: '1', day: 19_841 + d, units: units(d) }))
  const of = async (clips: RowRecord[]) => {
    const maker = new ItemMaker(
      await buildCatalog([
        captureOf(
          'listings',
          [{ market: 'Loopreel', id: '1', title: 'Nest box', price: 90_000, currency: 'EUR', creators: 450 }],
          end,
        ),
        captureOf(
          'sales',
          days((d) => (d < 90 ? 2 : 3)),
          end,
        ),
        captureOf('clips', clips, end),
      ]),
      plainRules('EUR'),
      noCorrections,
    )
    const figures = await makeFigures(maker)
    return (name: string) => (name === 'crowding' ? textIn(figures, name, 0) : numberIn(figures, name, 0))
  }
  const row = { market: 'Loopreel', id: '1', creator: '@tern', day: 20_010, paid: 'no' }
  const figure = await of([
    { ...row, clip: 'a', sort: 'clip', units: 36 },
    { ...row, clip: 'b', sort: 'live', units: 9, creator: '@wren' },
  ])
  // 3 a day over 30 days are 90
  expect(['units', 'clips', 'joined', 'clipShare', 'liveShare', 'shopShare', 'unpaidShare'].map(figure)).toEqual([
    90, 2, 2, 0.4, 0.1, 0.5, 1,
  ])
  expect([figure('growth90'), figure('growth180'), figure('crowding')]).toEqual([0.5, null, 'little (100–999)'])
  // what clips say can be more than what the market counted: no share is more than all
  const over = await of([{ ...row, clip: 'a', sort: 'clip', units: 120 }])
  expect([over('clipShare'), over('shopShare')]).toEqual([1, 0])
})
