import { compareQuotes, matchDesk, offersOfQuotes } from '.'
import type { Quote, QuoteAnswer } from '../supply'
import { captureOf, keyOf, listing, makerOf, offer, today } from './test-maker'

const gtin = '4006381333931'
const captures = [
  captureOf('listings', [
    listing('one', { gtin, units: 60, price: 120_000 }),
    listing('two', { gtin, units: 30, price: 100_000, delivery: 20_000 }),
    listing('set', { title: 'Seed scoop, tin, set of 4', price: null }),
  ]),
  captureOf('offers', [
    offer('f1', { gtin, tiers: '1:30000;10:20000', minOrder: 5, delivery: 100_000, stock: 9 }),
    offer('t1', { title: 'Hand trowel copper', supplier: 'Bay Works' }),
    offer('s1', { title: 'Seed scoop tin', supplier: 'Bay Works', tiers: '1:10000' }),
  ]),
]

describe('an item beside what may be the same', () => {
  test('has for each offer its costs, its lot, its checks and how alike it is', async () => {
    const maker = await makerOf(captures)
    const desk = matchDesk(maker, keyOf(maker, 'one'))
    expect(desk?.market).toBe('Marrowgate')
    const [first] = desk?.candidates ?? []
    expect(first?.match.offer.id).toBe('f1')
    // five at once: 3.00 and a fifth of 10.00; 12.00 less a tenth less 5.00
    expect(first).toMatchObject({ pack: 1, landedE4: 50_000, profitE4: 58_000, assumed: [], notes: [], standing: null })
    expect(first?.lot).toEqual({ packs: 5, outlayE4: 250_000 })
    // each sale brings back 10.80: three sales, at a third of 90 in 30 days, as two sell it already
    expect(first?.payback).toEqual({ outlayE4: 250_000, units: 3, days: 3 })
    expect(first?.checks.find((c) => c.name === 'stock')).toMatchObject({ holds: true, value: 9, wanted: 5 })
    const steps = new Map(first?.steps.map((s) => [s.quantity, s.landedE4]))
    expect([steps.get(5), steps.get(9), steps.get(10)]).toEqual([50_000, 41_100, 30_000])
    expect(Math.min(...steps.keys())).toBe(5)
    const parts = Object.fromEntries((first?.parts ?? []).map((p) => [p.part, p.speaksFor]))
    expect(parts).toMatchObject({ barcode: true, words: true, pack: true })
  })
  test('is found by the seller’s own words too, and what was said of an offer holds however it is found', async () => {
    const maker = await makerOf(captures)
    const key = keyOf(maker, 'one')
    expect(matchDesk(maker, key, 'copper trowel')?.candidates.map((c) => c.match.offer.id)).toEqual(['t1'])
    expect(matchDesk(maker, key, '  ')?.candidates.map((c) => c.match.offer.id)).toEqual(['f1'])
    const judged = await makerOf(captures, { judged: { [key]: { 'offer:Sill Mill/f1': 'same' } } })
    expect(matchDesk(judged, key, 'window feeder')?.candidates[0]?.match.judged).toBe('same')
    expect(matchDesk(maker, 'gone')).toBeNull()
  })
  test('counts packs as they were set, and own costs but those of the goods', async () => {
    const plain = await makerOf(captures)
    const key = keyOf(plain, 'one')
    const maker = await makerOf(captures, {
      packs: { 'offer:Sill Mill/f1': 2 },
      costs: { [key]: { packingE4: 5_000, tiers: [{ from: 1, priceE4: 990_000 }], supplierDeliveryE4: 990_000 } },
      suppliers: { 'Sill Mill': 'avoided' },
    })
    const [first] = matchDesk(maker, key)?.candidates ?? []
    // half of 5.00, packing of 0.50
    expect(first).toMatchObject({ pack: 2, landedE4: 25_000, profitE4: 78_000, standing: 'avoided' })
    expect(first?.checks.find((c) => c.name === 'avoided')?.holds).toBe(false)
  })
  test('says of a pack of four what four cost, and nothing of a profit where nobody asks a price', async () => {
    const maker = await makerOf(captures)
    const [first] = matchDesk(maker, keyOf(maker, 'set'))?.candidates ?? []
    expect(first).toMatchObject({ landedE4: 40_000, profitE4: null, payback: null })
    expect(first?.parts.find((p) => p.part === 'price')?.speaksFor).toBeNull()
    // another pack is no other thing: it is reckoned with
    expect(first?.parts.find((p) => p.part === 'pack')).toMatchObject({ speaksFor: null, mine: ['4'], theirs: ['1'] })
  })
})

test('what a supplier asks is compared piece by piece: 3.00 is too dear beside twelve for 30.00', async () => {
  const maker = await makerOf([
    captureOf('listings', [
      listing('dozen', { title: 'Seed scoop, tin, set of 12', price: 300_000 }),
      listing('one', { title: 'Tin seed scoop', price: 90_000, gtin }),
    ]),
    captureOf('offers', [offer('s1', { title: 'Seed scoop tin', tiers: '1:30000' })]),
  ])
  const priceOf = (id: string) =>
    matchDesk(maker, keyOf(maker, id))?.candidates[0]?.parts.find((p) => p.part === 'price')?.speaksFor
  // 30.00 a dozen are 2.50 a piece; 9.00 for one leave room for 3.00
  expect(priceOf('dozen')).toBe(false)
  expect(priceOf('one')).toBe(true)
})

describe('the answers of suppliers', () => {
  const answer = (some: Partial<QuoteAnswer> = {}): QuoteAnswer => ({
    on: today,
    tiers: [{ from: 1, priceE4: 25_000 }],
    currency: 'EUR',
    minOrder: null,
    deliveryE4: 0,
    leadDays: null,
    sampleE4: null,
    pack: null,
    note: '',
    ...some,
  })
  const quote = (id: string, some: Partial<Quote> = {}): Quote => ({
    id,
    item: 'Marrowgate/one',
    title: 'Clip-on window feeder, clear',
    supplier: 'Sill Mill',
    offer: 'offer:Sill Mill/f1',
    quantities: [4, 10],
    place: 1,
    of: 1,
    askedOn: today,
    dueOn: today,
    answer: answer(),
    sample: null,
    ...some,
  })
  test('stand beside each other, the cheapest first; who did not answer, or has none, is left out', async () => {
    const maker = await makerOf(captures)
    const compared = compareQuotes(maker, keyOf(maker, 'one'), [
      quote('dear', { answer: answer({ tiers: [{ from: 1, priceE4: 90_000 }] }) }),
      quote('silent', { answer: null }),
      quote('none', { answer: answer({ tiers: [] }) }),
      quote('pounds', { answer: answer({ currency: 'XYZ' }) }),
      quote('cheap', { answer: answer({ deliveryE4: 100_000, minOrder: 5 }) }),
    ])
    expect(compared?.market).toBe('Marrowgate')
    expect(compared?.answers.map((a) => [a.id, a.candidate.landedE4])).toEqual([
      ['cheap', 45_000],
      ['dear', 90_000],
      ['pounds', null],
    ])
    // fewer than are sold at once have no price; ten bear 1.00 of the way each
    expect(compared?.answers[0]?.landed).toEqual([
      { quantity: 4, landedE4: null },
      { quantity: 10, landedE4: 35_000 },
    ])
    expect(compared?.answers[0]?.candidate.match).toMatchObject({ by: 'you', verdict: 'same', judged: 'same' })
    expect(compareQuotes(maker, 'gone', [])).toBeNull()
  })
  test('are about the offer that was named, or by another of the supplier', async () => {
    const maker = await makerOf(captures)
    const known = offersOfQuotes(maker.catalog.offers)
    expect(known(quote('a')).about?.id).toBe('f1')
    expect(known(quote('a', { offer: null, supplier: 'Bay Works' }))).toMatchObject({
      about: null,
      other: { supplier: 'Bay Works' },
    })
    expect(known(quote('a', { offer: 'offer:Sill Mill/gone', supplier: 'Nobody' }))).toEqual({
      about: null,
      other: null,
    })
  })
})
