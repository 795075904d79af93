import type { Candidate, OfferCheck } from '@sickle/core/supply'
import { brokenBy, checkTold, takenFor, whyChosen, daysTold, parcelTold } from './supply-words'

const candidate = (key: string, landedE4: number | null, broken: Candidate['broken'] = []): Candidate => ({
  key,
  supplier: key,
  landedE4,
  days: 8,
  broken,
  unknown: [],
})
const [slow, quick] = [candidate('slow', 40_000, ['days']), candidate('quick', 48_700)]
const why = (candidates: Candidate[], chosen: Candidate | null, by: 'rules' | 'you' = 'rules') =>
  whyChosen({ by, candidates, chosen }, 'EUR')

test('why an offer was chosen is said, and what the cheaper one breaks', () => {
  expect(why([quick], quick)).toBe('the only offer')
  expect(why([slow], slow)).toBe('the only offer: it takes too long')
  const worst = candidate('worst', 1, ['days', 'rating'])
  expect(why([worst], worst)).toBe('the only offer: it takes too long, is rated too low')
  expect(why([quick, candidate('dear', 60_000)], quick)).toBe('the cheapest of 2')
  expect(why([quick, slow], quick)).toBe(
    'the cheapest of 2 that keeps your rules; the one that is cheaper by € 0.87 takes too long',
  )
  expect(why([quick, slow, candidate('worst', 10_000, ['rating', 'stock'])], quick)).toBe(
    'the cheapest of 3 that keeps your rules; the cheapest by € 3.87 is rated too low, has too little stock',
  )
  expect(why([slow, candidate('dear', 90_000, ['days'])], slow)).toBe(
    'it takes too long, but none breaks fewer of your rules',
  )
  expect(why([quick, slow], slow, 'you')).toBe('chosen by you')
  expect(why([], null)).toBe('')
})

test.each<[OfferCheck, string]>([
  [{ name: 'days', holds: true, value: 8, wanted: 10 }, 'up to 8'],
  [{ name: 'days', holds: false, value: 12, wanted: 10 }, 'up to 12; at most 10'],
  [{ name: 'rating', holds: null, value: null, wanted: 4 }, 'not stated; at least 4.0'],
  [{ name: 'years', holds: true, value: 5.9, wanted: 4 }, '5 years'],
  [{ name: 'lot', holds: false, value: 669_000, wanted: 500_000 }, '€ 66.90; at most € 50.00'],
  [{ name: 'stock', holds: false, value: 3, wanted: 10 }, '3; 10 for a first order'],
  [{ name: 'origin', holds: null, value: 'TR', wanted: null }, 'TR'],
  [{ name: 'origin', holds: false, value: 'TR', wanted: 'DE, PL' }, 'TR; one of DE, PL'],
])('a check is told with what is asked for where it does not surely hold: %j', (check, told) => {
  expect(checkTold(check, 'EUR')).toBe(told)
})
test('several rules that are broken are named', () => {
  expect(brokenBy(['goodReviews', 'lot'])).toBe('has too few good reviews, asks too much money at once')
})

test.each<[object, string]>([
  [{ by: 'barcode', verdict: 'same' }, 'same: same barcode'],
  [{ likeness: { words: 0.66 }, verdict: 'variant' }, 'other variant: words 66\u00a0% alike'],
  [{ likeness: { words: 0, isTaught: true }, verdict: 'same' }, 'same: other words for the same'],
  [{ by: 'you', verdict: 'similar' }, 'similar: looked up by you'],
  [{ by: 'you', verdict: 'same', judged: 'pack' }, 'you: other pack'],
])('what an offer is taken for: %j', (some, told) => {
  expect(takenFor({ by: 'words', likeness: null, judged: null, ...some } as never)).toBe(told)
})

test.each([
  [{ leadDays: 10, leadDaysLeast: 7 }, '7–10 days'],
  [{ leadDays: 10, leadDaysLeast: null }, '≤ 10 days'],
  [{ leadDays: 10, leadDaysLeast: 10 }, '≤ 10 days'],
  [{ leadDays: null, leadDaysLeast: null }, 'days not stated'],
])('%j: %s', (offer, told) => expect(daysTold(offer)).toBe(told))

test.each([
  [{ weightG: 350, box: null }, '350 g'],
  [{ weightG: 1250, box: [10, 10, 10] as const }, '1.25 kg, 10 × 10 × 10 cm'],
  [{ weightG: 800, box: [40, 30, 20.5] as const }, '800 g, 40 × 30 × 20.5 cm, charged as 4.92 kg by its size'],
  [{ weightG: null, box: null }, 'not stated'],
])('%j: %s', (offer, told) => expect(parcelTold(offer, 5000)).toBe(told))
