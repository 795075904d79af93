import type { FirstOrder } from '../margin'
import type { Offer } from './offer'
import type { SupplyRules } from './supply-rules'

export type CheckName = 'avoided' | 'days' | 'origin' | 'rating' | 'years' | 'goodReviews' | 'orders' | 'stock' | 'lot'

/** What the seller says of a supplier, whatever its figures: 'trusted' needs no proof, 'avoided' is never chosen. */
export const supplierStandings = ['trusted', 'avoided'] as const
export type SupplierStanding = (typeof supplierStandings)[number]

/** One thing that is asked of an offer. */
export interface OfferCheck {
  name: CheckName
  /** null where it is not known */
  holds: boolean | null
  value: number | string | null
  /** what the rules ask for; null where they ask for nothing of the kind, and it is only told */
  wanted: number | string | null
}

export interface CheckedAs {
  /** its first order, E4 of the home currency */
  lot: FirstOrder
  standing: SupplierStanding | null
}

const daysOfYear = 365.25

/** Years that a supplier had traded when its offer was read; null where it does not say. */
export const yearsOf = ({ since, capturedOn }: Pick<Offer, 'since' | 'capturedOn'>): number | null =>
  since === null ? null : Math.max(0, (capturedOn - since) / daysOfYear)

/** 'most' and 'least' of a figure; null where nothing is asked or nothing known */
const atMost = (value: number | null, most: number | null) => (value === null || most === null ? null : value <= most)
const atLeast = (value: number | null, least: number | null) =>
  value === null || least === null ? null : value >= least

type OneCheck = (offer: Offer, rules: SupplyRules, as: CheckedAs) => Omit<OfferCheck, 'name'>

const table: Record<CheckName, OneCheck> = {
  avoided: (_, __, { standing }) => ({ holds: standing !== 'avoided', value: standing, wanted: null }),
  days: ({ leadDays }, { maxDays }) => ({ holds: atMost(leadDays, maxDays), value: leadDays, wanted: maxDays }),
  origin: ({ shipsFrom }, { origins }) => ({
    holds: shipsFrom === null || origins.length === 0 ? null : isAmong(shipsFrom, origins),
    value: shipsFrom,
    wanted: origins.length === 0 ? null : origins.join(', '),
  }),
  rating: ({ rating }, { minRating }) => ({ holds: atLeast(rating, minRating), value: rating, wanted: minRating }),
  years: (offer, { minYears }) => ({ holds: atLeast(yearsOf(offer), minYears), value: yearsOf(offer), wanted: minYears }),
  goodReviews: ({ goodReviews }, { minGoodReviews }) => ({
    holds: atLeast(goodReviews, minGoodReviews),
    value: goodReviews,
    wanted: minGoodReviews,
  }),
  orders: ({ orders }, { maxOrders }) => ({ holds: atMost(orders, maxOrders), value: orders, wanted: maxOrders }),
  stock: ({ stock }, { stockForLot }, { lot }) => ({
    holds: stockForLot ? atLeast(stock, lot.packs) : null,
    value: stock,
    wanted: stockForLot ? lot.packs : null,
  }),
  lot: (_, { maxLotE4 }, { lot }) => ({ holds: atMost(lot.outlayE4, maxLotE4), value: lot.outlayE4, wanted: maxLotE4 }),
} // prettier-ignore

export const checkNames = Object.keys(table) as CheckName[]

/** What a seller who is trusted need not show. */
const proofs: ReadonlySet<CheckName> = new Set(['rating', 'years', 'goodReviews'])

/** Every check of an offer, one by one: there is no sum of them, since what speaks for one thing does not make good another. */
export function offerChecks(offer: Offer, rules: SupplyRules, as: CheckedAs): OfferCheck[] {
  return checkNames.map((name) => {
    const check = { name, ...table[name](offer, rules, as) }
    return as.standing === 'trusted' && proofs.has(name) ? { ...check, holds: true } : check
  })
}

const isAmong = (word: string, words: readonly string[]) =>
  words.some((w) => w.trim().toLowerCase() === word.trim().toLowerCase())
