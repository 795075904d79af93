import { allAds } from '@sickle/core/social'
import { bringAll, testBench, type TestBench } from '@/testing/workbench'
import { useAdCuts } from '@/shared/stores/ad-cuts'
import { useRules } from '@/shared/stores/rules'
import { useWorkspace } from '@/shared/stores/workspace'

const head = 'Ad ID,Advertiser,Channel,Headline,First seen,Last seen,Impressions,Listing ID,Image URL'
const before = `${head}
a1,Hedge End Co.,boards,Hooks that hold,2026-03-01,2026-04-30,600,A1,https://pictures.example/h.png
`
const now = `${head}
a1,Hedge End Co.,boards,Hooks that hold,2026-03-01,2026-05-30,1800,A1,https://pictures.example/h.png
a2,Hedge End Co.,clips,Hooks that hold. Order now!,2026-05-10,2026-05-30,90,A1,https://pictures.example/h.png
a3,Nobody known,boards,Something else,2026-05-01,2026-05-06,50,Z9,
`
let bench: TestBench
beforeAll(async () => {
  bench = testBench()
  await bringAll(bench)
  await bench.bring('before.csv', before, { market: 'Marrowgate', kind: 'ads' })
  await bench.bring('ads.csv', now, { market: 'Marrowgate', kind: 'ads' })
})

test('ads of all captures, each with its item and the shop that lists it', async () => {
  const { services } = testBench()
  await useRules().load()
  await useWorkspace().reload()
  const { engine } = services
  const all = await engine.call('ads', [allAds, [], 60])
  expect([all.of, all.numbers, all.found]).toEqual([2, 3, 2])
  expect(all.rows.map((r) => [r.ad.key, r.ad.state, r.item?.key ?? null, r.store?.name ?? null])).toEqual([
    ['Marrowgate/a1', 'runs long', 'Marrowgate/A1', 'Hedge End Co.'],
    ['Marrowgate/a3', 'tried and stopped', null, null],
  ])
  // 600 in 60 days, then 1,200 in 30
  expect(all.rows[0]?.ad.growth).toBeCloseTo(3, 9)
  expect((await engine.call('ads', [{ ...allAds, words: 'else' }, [], 60])).found).toBe(1)
  expect((await engine.call('ads', [allAds, [], 1])).rows).toHaveLength(1)
  expect((await engine.call('ads', [allAds, ['Gavelhop'], 60])).of).toBe(0)
  expect(await engine.call('adPictures', [])).toEqual(['https://pictures.example/h.png'])
  const shown = await engine.call('adsShowing', [['https://pictures.example/h.png', 'gone'], 4])
  expect(shown.map((rows) => rows.map((r) => r.ad.key))).toEqual([['Marrowgate/a1'], []])
})

test('Cuts of ads are kept by name, replaced, forgotten; one without a name is refused', async () => {
  testBench()
  const cuts = useAdCuts()
  await cuts.load()
  await cuts.keep(' Long ', { ...allAds, limits: { days: [30, null] } })
  await cuts.keep('Long', { ...allAds, limits: { days: [60, null] } })
  await expect(cuts.keep(' ', allAds)).rejects.toMatchObject({ code: 'cut-invalid' })
  const again = useAdCuts()
  await again.load()
  expect(again.all).toEqual([{ name: 'Long', query: { ...allAds, limits: { days: [60, null] } } }])
  await again.drop('Long')
  expect(again.all).toEqual([])
})
