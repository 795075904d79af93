import type { StoreLook } from '@sickle/core/stores'
import { whatIsGathered, whatIsNew, whatMadeTheMoney } from './store-answers'

const look = (some: { known?: number; listings?: number } & Partial<Omit<StoreLook, 'summed'>>): StoreLook => {
  const { known = 0, listings = 0, ...more } = some
  return {
    topFifth: null,
    makes80: 0,
    newListings: 0,
    newThatSell: 0,
    newSelling: [],
    stated: null,
    ...more,
    summed: { known, listings },
  } as unknown as StoreLook
}
const stated = (listings: number | null) => ({ listings }) as StoreLook['stated']

test('what made the money says how few make it, that nothing sold, or that it is not known', () => {
  expect(whatMadeTheMoney(look({ known: 50, makes80: 12, topFifth: 0.76 }))).toBe(
    '12 of 50 listings make four fifths of the units of 30 days; the best fifth makes 76 %.',
  )
  expect(whatMadeTheMoney(look({ known: 1, makes80: 1, topFifth: 1 }))).toMatch(/^One listing makes/)
  expect(whatMadeTheMoney(look({ known: 4 }))).toBe('Nothing sold in 30 days, of 4 listings that say so.')
  expect(whatMadeTheMoney(look({}))).toMatch(/^Not known/)
})

test('what is new tells none put up from none gathered, and those that sell from those that do not', () => {
  expect(whatIsNew(look({}))).toBe('Not known: no listing of it is gathered.')
  expect(whatIsNew(look({ listings: 3 }))).toBe('No listing is known to be put up in 60 days.')
  expect(whatIsNew(look({ listings: 3, newListings: 1 }))).toBe('1 listing put up in 60 days; none of them sold.')
  expect(whatIsNew(look({ listings: 90, newListings: 50, newThatSell: 31 }))).toBe(
    '50 listings put up in 60 days; 31 of them sold.',
  )
})

test('how much is gathered is told where a list says how much there is', () => {
  expect(whatIsGathered(look({ listings: 3 }))).toBeNull()
  expect(whatIsGathered(look({ listings: 3, stated: stated(null) }))).toBeNull()
  expect(whatIsGathered(look({ listings: 3, stated: stated(300) }))).toMatch(/^3 of its 300 listings/)
  expect(whatIsGathered(look({ listings: 3, stated: stated(3) }))).toMatch(/^All of its 3/)
})
