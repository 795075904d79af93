import type { StoreLook, TitleHabits } from '@sickle/core/stores'
import type { StoreBeside } from '@/workers/store-methods'
import {
  atWhatPrices,
  estimateSource,
  estimateWords,
  howItGoes,
  howItWrites,
  whatDropped,
  whatIsGathered,
  whatIsMissing,
  whatIsNew,
  whatMadeTheMoney,
  whatStopped,
  whenPutUp,
  whereWeMeetWords,
  leaveWords,
} from './store-answers'

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
    '12 of 50 listings make four fifths of the units of 30 days; the best fifth makes 76\u00a0%.',
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

test('how it goes says of how many, and never more than two windows that can be compared', () => {
  const life = {
    stage: 'Fading',
    growth: -0.31,
    growthLow: -0.42,
    growthHigh: -0.18,
    compared: 38,
  } as StoreLook['life']
  expect(howItGoes(look({ life, seriesKnown: 40, listings: 50 }))).toBe(
    'Fading: −31\u00a0% in 28 days against the 28 before (95\u00a0%: −42\u00a0% to −18\u00a0%), over the 38 of 50 listings that know both.',
  )
  const unknown = { stage: 'Unclear', growth: null } as StoreLook['life']
  expect(howItGoes(look({ life: unknown, seriesKnown: 5, listings: 5 }))).toMatch(/^Unclear: too little is known/)
  expect(howItGoes(look({ life: null, seriesKnown: 0, listings: 5 }))).toMatch(/^Not known/)
})

test('what stopped and what was dropped are not told where they cannot be known', () => {
  expect(whatStopped(look({ stoppedJudged: 0, stoppedCount: 0 }))).toMatch(/^Not known/)
  expect(whatStopped(look({ stoppedJudged: 9, stoppedCount: 0 }))).toMatch(/^None of 9 listings/)
  expect(whatStopped(look({ stoppedJudged: 9, stoppedCount: 2 }))).toMatch(/^2 of 9 listings .* more than chance\.$/)
  expect(whatDropped(look({ dropped: { since: null, listings: [] }, droppedCount: 0 }))).toMatch(
    /gathered whole a second/,
  )
  expect(whatDropped(look({ dropped: { since: 20_604, listings: [] }, droppedCount: 1 }))).toBe(
    '1 listing of before was not in its list of 31 May 2026.',
  )
})

test('when it puts things up says its pace, and over how many', () => {
  const putUp = (known: number, perMonth: number | null) => ({ known, perMonth, months: [] })
  expect(whenPutUp(look({ putUp: putUp(0, null), listings: 5 }))).toMatch(/^Not known/)
  expect(whenPutUp(look({ putUp: putUp(4, 2.5), listings: 5 }))).toBe(
    '2.5 a month over the last six whole months. Of those still up; what it took down is not in it. 4 of 5 say when.',
  )
})

test('how it writes: tags that nobody shows are said not to be shown', () => {
  const writing = (listings: number, titleLength: number | null, tags: number | null) => ({
    listings,
    titleLength,
    tags,
    tagged: tags === null ? 0 : listings,
  })
  const habits = (selling: TitleHabits['selling'], silent: TitleHabits['selling']) => ({ selling, silent, words: null })
  expect(howItWrites(habits(writing(5, 60, 11), writing(3, 40, 4)))).toBe(
    'Titles of what sells have 60 letters and 11 tags; of what does not, 40 and 4 tags.',
  )
  expect(howItWrites(habits(writing(5, 60, null), writing(0, null, null)))).toBe(
    'Titles of what sells have 60 letters. Tags are not shown.',
  )
  expect(howItWrites(habits(writing(0, null, null), writing(3, 40, 4)))).toBe('Nothing of it is known to sell.')
})

test('beside others and beside me: nothing to compare is not nothing in common', () => {
  const beside = (some: object) =>
    ({ goods: 5, met: 0, gaps: 0, perhaps: 0, prices: { compared: 0 }, ...some }) as unknown as StoreBeside
  const prices = { compared: 10, cheaper: 6, dearer: 3, same: 1, medianRatio: 0.93 }
  expect(atWhatPrices(beside({ prices }))).toBe(
    'Of 10 listings that others have too, 6 are cheaper than the middle of theirs, 3 dearer, 1 as dear. In the middle it asks −7.0\u00a0%.',
  )
  expect(atWhatPrices(beside({}))).toMatch(/^Nobody else/)
  expect(whereWeMeetWords(beside({ goods: 0 }))).toMatch(/^Not known/)
  expect(whereWeMeetWords(beside({ met: 1 }))).toBe('1 listing of it is of goods of mine.')
  expect(whereWeMeetWords(beside({ perhaps: 4 }))).toMatch(/^It sells nothing of mine\. 4 more may be/)
  expect(whatIsMissing(beside({ goods: 0, gaps: 9 }))).toMatch(/^Bring in my own catalogue/)
  expect(whatIsMissing(beside({}))).toBe('It sells nothing that I do not.')
  expect(whatIsMissing(beside({ gaps: 2 }))).toBe('2 items of it that I do not sell.')
})

test('an estimate is its middle with its span, and says where it comes from', () => {
  const one = { units: 120.4, low: 80.2, high: 190 }
  expect(estimateWords(one)).toBe('about 120; 80\u00a0%: 80 to 190')
  expect(estimateWords(null)).toMatch(/^not possible/)
  const all = {
    feedback: { count: 60, by: 'list' },
    items: { of: 1 },
    ranks: null,
    all: null,
  } as never
  expect(estimateSource(all, 'feedback')).toBe('its feedback rose by 60 between two lists')
  expect(estimateSource(all, 'items')).toMatch(/^1 item it shares/)
  expect(estimateSource(all, 'ranks')).toBe('')
})

test('where the rate of feedback comes from is said', () => {
  const leave = { rate: 0.4, logSd: 0.3, of: 12 }
  expect(leaveWords(leave, false)).toBe('learned from 12 other stores of its market that state feedback and sales')
  expect(leaveWords({ ...leave, of: 1 }, false)).toContain('1 other store of its market that states')
  expect(leaveWords({ ...leave, of: 0 }, false)).toMatch(/^usual in the trade/)
  expect(leaveWords(leave, true)).toBe('as you set it')
})
