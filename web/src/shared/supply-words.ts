import type { CheckName, OfferCheck, OfferChoice } from '@sickle/core/supply'
import { count, decimal, money, plural } from './format'

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
  const cheaper = candidates.filter((c) => (c.landedE4 ?? Infinity) < (chosen.landedE4 ?? Infinity))
  const breaks = chosen.broken.length === 0 ? '' : `it ${brokenBy(chosen.broken)}, but none breaks fewer of your rules`
  if (candidates.length === 1)
    return chosen.broken.length === 0 ? 'the only offer' : `the only offer: ${breaks.split(',')[0]}`
  const least =
    chosen.broken.length === 0 ? `the cheapest of ${count(candidates.length)} that keeps your rules` : breaks
  if (cheaper.length === 0) return breaks === '' ? `the cheapest of ${count(candidates.length)}` : breaks
  const first = cheaper.reduce((a, b) => ((a.landedE4 ?? 0) <= (b.landedE4 ?? 0) ? a : b))
  const saved = money((chosen.landedE4 ?? 0) - (first.landedE4 ?? 0), home)
  return `${least}; ${cheaper.length === 1 ? 'the one that is cheaper' : 'the cheapest'} by ${saved} ${brokenBy(first.broken)}`
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
