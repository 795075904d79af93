import type { SupplierCheck } from '@sickle/core/catalog'
import { chargedKg } from '@sickle/core/margin'
import type { CheckName, MatchJudgement, Offer, OfferCheck, OfferChoice, OfferMatch } from '@sickle/core/supply'
import { count, decimal, money, percent, plural } from './format'

/** What an offer breaks, after "it": one short phrase a rule. */
const brokenWords: Record<CheckName, string> = {
  avoided: 'is of a supplier you avoid',
  days: 'takes too long',
  origin: 'comes from elsewhere',
  rating: 'is rated too low',
  years: 'is of too new a supplier',
  goodReviews: 'has too few good reviews',
  orders: 'is too crowded',
  stock: 'has too little stock',
  lot: 'asks too much money at once',
}

export const brokenBy = (broken: readonly CheckName[]): string => broken.map((name) => brokenWords[name]).join(', ')

/** Why an offer was chosen, in a sentence that ends without a stop; '' where there is nothing to choose. */
export function whyChosen({ by, candidates, chosen }: OfferChoice, home: string): string {
  if (!chosen) return ''
  if (by === 'you') return 'chosen by you'
  const breaks = chosen.broken.length === 0 ? null : `it ${brokenBy(chosen.broken)}`
  if (candidates.length === 1) return breaks === null ? 'the only offer' : `the only offer: ${breaks}`
  if (breaks !== null) return `${breaks}, but none breaks fewer of your rules`
  const cheaper = candidates.filter((c) => (c.landedE4 ?? Infinity) < (chosen.landedE4 ?? Infinity))
  const [first, ...others] = cheaper.sort((a, b) => (a.landedE4 ?? 0) - (b.landedE4 ?? 0))
  const of = `the cheapest of ${count(candidates.length)}`
  if (!first) return of
  const saved = money((chosen.landedE4 ?? 0) - (first.landedE4 ?? 0), home)
  const which = others.length === 0 ? 'the one that is cheaper' : 'the cheapest'
  return `${of} that keeps your rules; ${which} by ${saved} ${brokenBy(first.broken)}`
}

const foundWords = { same: 'same', variant: 'other variant', similar: 'similar' }

/** What an offer is taken for, and by what. */
export function takenFor({ by, verdict, likeness, judged }: OfferMatch): string {
  if (judged) return `you: ${judgementWords[judged]}`
  const alike = likeness && `words ${percent(likeness.words)} alike`
  const how = by === 'barcode' ? 'same barcode' : likeness?.isTaught ? 'other words for the same' : alike
  return `${foundWords[verdict]}: ${how ?? 'looked up by you'}`
}

/** Days until an offer arrives, as it states them: a range, or one figure that is taken for the latest. */
export function daysTold({ leadDays, leadDaysLeast }: Pick<Offer, 'leadDays' | 'leadDaysLeast'>): string {
  if (leadDays === null) return 'days not stated'
  return leadDaysLeast !== null && leadDaysLeast < leadDays
    ? `${count(leadDaysLeast)}–${plural(leadDays, 'day')}`
    : `≤ ${plural(leadDays, 'day')}`
}

/** What a pack weighs and measures, and the weight that freight is charged for. */
export function parcelTold({ weightG, box }: Pick<Offer, 'weightG' | 'box'>, divisor: number): string {
  const kg = chargedKg({ weightG, box }, divisor)
  if (kg === null) return 'not stated'
  const weight = weightG === null ? [] : [weightG < 1000 ? `${count(weightG)} g` : `${decimal(weightG / 1000, 2)} kg`]
  const size = box === null ? [] : [`${box.map((side) => decimal(side, side % 1 === 0 ? 0 : 1)).join(' × ')} cm`]
  const isBySize = box !== null && kg > (weightG ?? 0) / 1000
  return [...weight, ...size, ...(isBySize ? [`charged as ${decimal(kg, 2)} kg by its size`] : [])].join(', ')
}

/** What an offer can be said to be. */
export const judgementWords: Record<MatchJudgement, string> = {
  same: 'same',
  pack: 'other pack',
  similar: 'similar',
  no: 'no',
}

interface CheckWords {
  label: string
  /** a value, and what is asked for, in words */
  value: (value: number | string, home: string) => string
  asked: (wanted: number | string, home: string) => string
}

const figure = (of: (n: number) => string) => (value: number | string) => of(Number(value))

/** How each check is told, in the order of the table. */
export const checkWords: Record<CheckName, CheckWords> = {
  avoided: { label: 'Supplier', value: String, asked: String },
  days: {
    label: 'Days',
    value: figure((n) => `up to ${count(n)}`),
    asked: figure((n) => `at most ${count(n)}`),
  },
  origin: { label: 'Ships from', value: String, asked: (wanted) => `one of ${wanted}` },
  rating: { label: 'Rating', value: figure((n) => decimal(n, 1)), asked: figure((n) => `at least ${decimal(n, 1)}`) },
  years: {
    label: 'Trading',
    value: figure((n) => plural(Math.floor(n), 'year')),
    asked: figure((n) => `at least ${plural(n, 'year')}`),
  },
  goodReviews: { label: 'Good reviews', value: figure(count), asked: figure((n) => `at least ${count(n)}`) },
  orders: { label: 'Orders so far', value: figure(count), asked: figure((n) => `at most ${count(n)}`) },
  stock: { label: 'Stock', value: figure(count), asked: figure((n) => `${count(n)} for a first order`) },
  lot: {
    label: 'First order',
    value: (value, home) => money(Number(value), home),
    asked: (wanted, home) => `at most ${money(Number(wanted), home)}`,
  },
}

/** One check in words. */
export function checkTold({ name, holds, value, wanted }: OfferCheck, home: string): string {
  const words = checkWords[name]
  const is = value === null ? 'not stated' : words.value(value, home)
  return wanted === null || holds === true ? is : `${is}; ${words.asked(wanted, home)}`
}

/** What a supplier states over all its offers: one value, or from the lowest to the highest. */
export function spanTold({ name, from, to }: Pick<SupplierCheck, 'name' | 'from' | 'to'>, home: string): string {
  if (from === null || to === null) return 'not stated'
  const { value } = checkWords[name]
  const told = (v: number | string) => value(v, home).replace(/^up to /, '')
  const [low, high] = [told(from), told(to)]
  return low === high ? low : typeof from === 'string' ? `${low}, ${high} …` : `${low} to ${high}`
}
