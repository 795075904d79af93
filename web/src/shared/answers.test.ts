import type { Item } from '@sickle/core/catalog'
import { bringAll, testBench } from '@/testing/workbench'
import { nothingChosen } from '@sickle/core/supply'
import {
  canIGetIt,
  howItChanges,
  howPriceTells,
  isItSelling,
  isThereRoom,
  mayIListIt,
  whatDoesItSellFor,
  whatDoIMake,
  whatIsEstimated,
  whatIsPosted,
  whichCounts,
  whenInTheMonth,
  whenItSells,
  whichOptions,
  whichWords,
  whoSellsIt,
  willItLast,
} from './answers'
import { useWorkspace } from './stores/workspace'

let item: Item
const answered = testBench()
beforeAll(async () => {
  await bringAll(answered)
  await useWorkspace().reload()
  item = (await answered.services.engine.call('item', ['Marrowgate/A1']))!
})

test('what is known is said in sentences made from the figures', async () => {
  expect(isItSelling(item)).toBe(
    '62 units in 30 days to 1 June 2026, reported. 2 of 2 listings sold (100\u00a0%; 95\u00a0%: 34\u00a0%–100\u00a0%); 31.00 units a listing.',
  )
  expect(isThereRoom(item)).toMatch(/^2 sellers; the largest takes 65\u00a0% of the units \(concentration 5,42\d\)/)
  expect(canIGetIt(item, 'EUR')).toBe(
    'Landed € 3.20 a pack of 4 from Sill Mill, ≤ 5 days (same words): the only offer.',
  )
  expect(whatDoIMake(item, 'EUR')).toBe(
    '+7.37 (57\u00a0%) at the lowest competing price, € 12.90 delivered on Marrowgate. Assumed ○: fees of 15 % for the market and 3 % for payment, by common practice (enter yours in Margin); pieces in the packs (confirm them in Supply).',
  )
  const sellers = await answered.services.engine.call('sellers', ['Marrowgate/A1', []])
  expect(whoSellsIt(sellers, 'EUR')).toBe('2 offers, from € 12.90 delivered.')
  const allowed = await answered.services.engine.call('allowed', ['Marrowgate/A3'])
  expect(mayIListIt(allowed)).toBe('No: Marrowgate, “bird bath” (ask first).')
})

test('what is not known is said to be not known, never nought', () => {
  const bare = {
    ...item,
    units: null,
    life: null,
    category: null,
    best: null,
    profits: [],
    offer: null,
    choice: nothingChosen,
    kind: 'digital' as const,
    listings: [],
    markets: [],
  }
  expect(isItSelling(bare)).toBe('No sales figures are known for it.')
  expect(willItLast(bare)).toBe('Unclear: no daily or weekly sales are known.')
  expect(whatIsEstimated(bare)).toBe('')
  expect(whichWords(null, bare)).toBe('Unclear: its category is not known.')
  expect(whichOptions(null, bare)).toBe('Unclear: its category is not known.')
  expect(canIGetIt(bare, 'EUR')).toBe('A file: nothing to buy and nothing to ship.')
  expect(canIGetIt({ ...bare, kind: 'physical' }, 'EUR')).toBe('No supplier offer is known to be the same goods.')
  expect(whatDoIMake(bare, 'EUR')).toBe('Not known: no competing price is known.')
  expect(whatDoesItSellFor(null, bare, 'EUR')).toBe('Not known: no listing has a price.')
  expect(whenItSells(null)).toBe('Unclear: it takes daily figures of eight weeks and 70 units.')
  expect(whenItSells([])).toBe('No weekday stands out beyond chance.')
  expect(whenInTheMonth(null)).toBe('')
  expect(whoSellsIt([], 'EUR')).toBe('Nobody is known to offer it at a price.')
  const one = item.listings.slice(0, 1)
  expect(whichCounts({ ...item, commission: null, creators: null, rank: null })).toBe('')
  expect(whichCounts({ ...item, commission: 0.2, creators: 40, rank: 7 })).toBe(
    'Finds counts commission 20\u00a0%, the highest of its 2 listings; 40 creators, the most that any of its 2 listings states; sales rank 7, the best of its 2 listings.',
  )
  const shown = { ...item.reach, clipCommission: 0.2, clipCreators: 3 }
  expect(whichCounts({ listings: one, commission: 0.2, creators: 3, rank: null, reach: shown })).toBe(
    'Finds counts commission 20\u00a0%, the highest that its clips name; 3 creators, those of its clips.',
  )
  expect(whatIsPosted(null)).toBe('Not known: no clips or advertisements were brought in.')
  expect(mayIListIt(null)).toBe('Not known: no list of restricted items was brought in.')
  expect(howPriceTells(null)).toBe('')
  expect(
    howItChanges(
      { change: null, season: null } as never,
      { start: 0, stepDays: 7, values: new Float64Array(9) } as never,
    ),
  ).toBe('Its level shows no clear change. Season unclear: it takes more than two years of figures, 63 days are known.')
})

test('a loss, a restriction and sellers below break-even are named as such', () => {
  const best = { market: 'M', isDelivered: true, lowestE4: 10_000, profitE4: -2500, margin: -0.25, assumed: [] }
  expect(whatDoIMake({ ...item, best }, 'EUR')).toBe(
    '−0.25 (−25\u00a0%) at the lowest competing price, € 1.00 delivered on M.',
  )
  const seller = { deliveredE4: 5000, isDeliveryKnown: true, myProfitE4: -1, activity: 'inactive' as const }
  expect(whoSellsIt([seller, { ...seller, activity: 'selling', myProfitE4: 2 }] as never, 'EUR')).toBe(
    '2 offers, from € 0.50 delivered. Of 2 whose feedback is known, 1 had none in 30 days: not really selling. 1 sells below my break-even: not to be copied.',
  )
  // a price without its delivery is not taken for one delivered free
  const silent = { ...seller, deliveredE4: 4000, isDeliveryKnown: false }
  expect(whoSellsIt([silent, seller] as never, 'EUR')).toMatch(/^2 offers, from € 0.50 delivered/)
  expect(whoSellsIt([silent] as never, 'EUR')).toMatch(/^1 offer, from € 0.40, delivery not stated/)
  expect(whatDoIMake({ ...item, best: { ...best, isDelivered: false } }, 'EUR')).toBe(
    '−0.25 (−25\u00a0%) at the lowest competing price, € 1.00 on M, delivery not stated.',
  )
  const entry = {
    what: 'Wren',
    sort: 'brand' as const,
    market: 'M',
    status: 'needs approval' as const,
    gtin: null,
    id: null,
    category: null,
    note: null,
    checked: 20_604,
    readOn: 20_605,
    by: 'list' as const,
  }
  const asked = { status: 'needs approval' as const, because: [entry], overruled: null }
  expect(mayIListIt(asked)).toBe('Only with approval: M, “Wren”, checked 31 May 2026.')
  expect(mayIListIt({ ...asked, status: 'allowed', overruled: { reason: 'I have their leave', at: 0 } })).toBe(
    'Yes, as you said: I have their leave (M: “Wren”, needs approval).',
  )
  const avoided = { ...entry, by: 'you' as const, market: null, checked: null, note: 'a battery' }
  expect(mayIListIt({ ...asked, because: [avoided] })).toBe('Only with approval: your own list, “Wren” (a battery).')
})
