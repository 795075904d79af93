import type { Grade } from '../catalog'
import { runRate } from '../estimates'
import type { FigureFormat } from '../records'
import type { SummedFigures } from './figures'
import type { StatedStore } from './stated'

/** A figure of a store, as a list of stores states it and as its gathered listings sum to it. Amounts in E4 of the home currency. */
export interface StoreFigure {
  name: string
  label: string
  format: FigureFormat
  /** why the two may differ */
  differs: string
  /** whether what is stated speaks of a window: of another length than 30 days it is brought to 30, and an estimate */
  isOfWindow?: boolean
  stated: (store: StatedStore) => number | null
  /** null where listings say nothing of it */
  summed: ((store: SummedFigures) => number | null) | null
}

const in30Days = (sum: number | null, { windowDays }: StatedStore) => (sum === null ? null : (sum * 30) / windowDays)

const gathered = 'the sum is over the listings gathered, of those still up'

/** Every figure of a store: one entry each, which the list, its columns and its page follow. */
export const storeFigures: readonly StoreFigure[] = [
  {
    name: 'unitsTotal',
    label: 'Lifetime sales',
    format: 'count',
    differs: `${gathered}; what was sold by listings that ended is not in it`,
    stated: (s) => s.unitsTotal,
    summed: (s) => s.unitsTotal,
  },
  {
    name: 'units',
    label: 'Units, 30 d',
    format: 'count',
    differs: gathered,
    isOfWindow: true,
    stated: (s) => in30Days(s.units, s),
    summed: (s) => s.units,
  },
  {
    name: 'revenue',
    label: 'Sales, 30 d',
    format: 'money',
    differs: 'the sum takes asking prices: where a listing has variations it is an upper bound',
    isOfWindow: true,
    stated: (s) => in30Days(s.revenueE4, s),
    summed: (s) => s.revenueE4,
  },
  {
    name: 'listings',
    label: 'Listings',
    format: 'count',
    differs: 'the sum counts the listings gathered',
    stated: (s) => s.listings,
    summed: (s) => s.listings,
  },
  {
    name: 'sellThrough',
    label: 'Listings sold',
    format: 'percent',
    differs: 'a list may count another window',
    stated: (s) => s.soldShare,
    summed: (s) => s.sellThrough?.ratio ?? null,
  },
  {
    name: 'unitsPerListing',
    label: 'Units a listing',
    format: 'number',
    differs: gathered,
    isOfWindow: true,
    stated: (s) => (s.listings ? in30Days(s.units === null ? null : s.units / s.listings, s) : null),
    summed: (s) => s.unitsPerListing,
  },
  {
    name: 'averagePrice',
    label: 'Average price',
    format: 'money',
    differs: 'the sum weighs asking prices by units',
    stated: (s) => s.averagePriceE4,
    summed: (s) => s.averagePriceE4,
  },
  {
    name: 'runRate',
    label: 'Run rate, a year',
    format: 'count',
    differs: gathered,
    stated: (s) => (s.units === null ? null : runRate(s.units, s.windowDays)),
    summed: (s) => s.runRate,
  },
  { name: 'feedback', label: 'Feedback', format: 'count', differs: '', stated: (s) => s.feedback, summed: null },
  { name: 'positive', label: 'Good feedback', format: 'percent', differs: '', stated: (s) => s.positive, summed: null },
  { name: 'rating', label: 'Rating', format: 'rating', differs: '', stated: (s) => s.rating, summed: null },
]

/** How surely a stated figure is known: as the list says it, or brought from a window of another length. */
export const statedGrade = ({ isOfWindow }: StoreFigure, { windowDays }: StatedStore): Grade =>
  isOfWindow && windowDays !== 30 ? 'estimated' : 'reported'
