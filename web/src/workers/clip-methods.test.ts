import { allClips, clipRules } from '@sickle/core/social'
import { bringAll, testBench, type TestBench } from '@/testing/workbench'
import { besideSelling, wageTold, whatWouldIEarn } from '@/shared/earn-words'
import { useRules } from '@/shared/stores/rules'
import { useWorkspace } from '@/shared/stores/workspace'

const clipsCsv = `Clip ID,Creator,Caption,Posted on,Type,Views,Units sold,Revenue (EUR),Commission,Paid,Listing ID
c1,@tern,Put up in a minute,2026-05-02,clip,1000,10,120.00,20%,no,A1
c2,@wren,A week with it,2026-05-03,live,4000,0,0.00,20%,yes,A2
c3,@sill,What came to the window,2026-05-04,clip,500,2,24.00,20%,no,A3
c4,@moss,Unknown thing,2026-05-05,clip,90,1,5.00,20%,no,Z9
`

let bench: TestBench
beforeAll(async () => {
  bench = testBench()
  await bringAll(bench)
  await bench.bring('clips.csv', clipsCsv, { market: 'Marrowgate', kind: 'clips' })
  // the same once more says nothing new
  await bench.bring('again.csv', clipsCsv, { market: 'Marrowgate', kind: 'clips' })
})
async function opened() {
  const { services } = testBench()
  await useRules().load()
  await useWorkspace().reload()
  return services.engine
}

test('clips are asked for everything, for an item with all its listings, and for what a store sells', async () => {
  const engine = await opened()
  const all = await engine.call('clips', [{ of: 'all' }, allClips, [], 60])
  expect(all).toMatchObject({ of: 4, found: 4, sums: { clips: 3, lives: 1, units: 13, bestClipRatio: 10 / 13 } })
  expect(all.rows.map((r) => [r.clip.key, r.item?.key ?? null])).toEqual([
    ['Marrowgate/c1', 'Marrowgate/A1'],
    ['Marrowgate/c3', 'Marrowgate/A3'],
    ['Marrowgate/c4', null],
    ['Marrowgate/c2', 'Marrowgate/A1'],
  ])
  const item = await engine.call('clips', [
    { of: 'item', key: 'Marrowgate/A1' },
    { ...allClips, sort: 'lives' },
    [],
    60,
  ])
  expect([item.of, item.rows.map((r) => r.clip.title)]).toEqual([2, ['A week with it']])
  const store = await engine.call('clips', [{ of: 'store', market: 'Marrowgate', name: 'Sill Life' }, allClips, [], 60])
  expect(store.rows.map((r) => r.clip.key)).toEqual(['Marrowgate/c3'])
  expect((await engine.call('clips', [{ of: 'item', key: 'gone' }, allClips, [], 60])).of).toBe(0)
  // what answers to a phrase, in whatever form
  const phrase = await engine.call('clips', [{ of: 'phrase', phrase: 'bird baths' }, allClips, [], 60])
  expect(phrase.rows.map((r) => r.clip.key)).toEqual(['Marrowgate/c3'])
  expect((await engine.call('clips', [{ of: 'phrase', phrase: 'nothing' }, allClips, [], 60])).of).toBe(0)
  // the Close look counts the same
  expect(await engine.call('posted', ['Marrowgate/A1', []])).toMatchObject({
    clips: 1,
    lives: 1,
    units: 10,
    views: 5000,
  })
  expect(await engine.call('posted', ['gone', []])).toBeNull()
})

test('what a clip would earn me: commission of what was sold, each creator once, told with the wage and beside selling', async () => {
  const engine = await opened()
  const earnings = await engine.call('earnings', ['Marrowgate/A1', clipRules, []])
  // a fifth of 120.00, and nothing
  expect(earnings).toMatchObject({
    commission: 0.2,
    priceE4: 115_000,
    outlook: { clips: 2, creators: 2, middleE4: 0, upperTenthE4: 240_000, nothingRatio: 0.5, range: null, by: 'item' },
  })
  const told = whatWouldIEarn(earnings, 'EUR', clipRules)
  expect(told).toMatch(/^The middle clip earned € 0\.00, 50\s%/)
  expect(told).toMatch(/too few creators/)
  expect(told).toMatch(/One clip earned 100\s% of all: that is luck/)
  expect(told).toMatch(/Cancelled orders are not taken off/)
  const rules = { ...clipRules, hours: 1, costE4: 20_000, leastWageE4: 100_000, cancelledRatio: 0.25 }
  const less = await engine.call('earnings', ['Marrowgate/A1', rules, []])
  expect(less?.outlook).toMatchObject({ upperTenthE4: 180_000, paidRatio: 0.5 })
  expect(whatWouldIEarn(less, 'EUR', rules)).not.toMatch(/Cancelled/)
  expect(wageTold(less!, 'EUR', rules)).toMatch(
    /^At 1 hour a clip and € 2\.00 of cost the middle one pays € −2\.00 an hour; 50\s% pay the € 10\.00/,
  )
  const item = await engine.call('item', ['Marrowgate/A1'])
  // 7.37 a sale by hand, 62 sales shared with two: 7.37 × 62 / 3
  expect(besideSelling(earnings!, item!, 'EUR')).toMatch(/^Selling it yourself would leave € 152\.31 a month/)
  expect(besideSelling(earnings!, { ...item!, best: null }, 'EUR')).toBe('')
  expect(await engine.call('earnings', ['gone', clipRules, []])).toBeNull()
  expect(whatWouldIEarn(null, 'EUR', clipRules)).toMatch(/^Not known/)
})
