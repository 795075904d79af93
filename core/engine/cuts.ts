import { Problem } from '../problem'
import { checked } from '../schema'
import { cutSchema, queryNow } from './cut-schema'
import { emptyQuery, type Query } from './query'

/** A kept set of limits and an order. */
export interface Cut {
  name: string
  query: Query
  /** came with Sickle, cannot be changed */
  ships: boolean
}

/** Those that ship, for each kind of seller one or two; thresholds are the trade's rules of thumb (common practice, no source). */
export const shippedCuts: readonly Cut[] = [
  {
    name: 'Proven, worth listing',
    ships: true,
    query: { ...emptyQuery, limits: { units: [60, null], sellThrough: [0.6, null], profit: [2, null] } },
  },
  {
    name: 'Fresh and rising',
    ships: true,
    query: {
      ...emptyQuery,
      limits: { growth: [0.2, null] },
      stages: ['Sprouting', 'Ripening'],
      sort: { by: 'growth', descending: true },
    },
  },
  {
    name: 'Fat margin, slow',
    ships: true,
    query: {
      ...emptyQuery,
      limits: { units: [null, 60], profit: [5, null], margin: [0.2, null] },
      sort: { by: 'profit', descending: true },
    },
  },
  {
    name: 'Print on demand',
    ships: true,
    query: {
      ...emptyQuery,
      kinds: ['printed'],
      limits: { profit: [5, null], sellThrough: [0.4, null] },
      sort: { by: 'unitsPerListing', descending: true },
    },
  },
  {
    name: 'Digital goods',
    ships: true,
    query: {
      ...emptyQuery,
      kinds: ['digital'],
      limits: { sellThrough: [0.4, null], rating: [4, null] },
      sort: { by: 'unitsPerListing', descending: true },
    },
  },
  {
    name: 'From shop to source',
    ships: true,
    query: {
      ...emptyQuery,
      limits: { smallStores: [1, null], markUp: [1, null] },
      sort: { by: 'markUp', descending: true },
    },
  },
  {
    name: 'To promote in clips',
    ships: true,
    query: {
      ...emptyQuery,
      limits: {
        price: [20, 100],
        revenue: [10_000, null],
        growth: [0.2, null],
        commission: [0.15, null],
        creators: [null, 10_000],
        stock: [1000, null],
      },
      sort: { by: 'revenue', descending: true },
    },
  },
]

/** A Cut from a file. @throws Problem 'cut-invalid' naming what is wrong, and where */
export function readCut(json: unknown): Cut {
  if (typeof json !== 'object' || json === null || Array.isArray(json)) throw bad('it is no Cut')
  const { name, query } = json as { name?: unknown; query?: unknown }
  return checkCut({ name, query: queryNow(query), ships: false })
}

/** A Cut as the seller makes it. @throws Problem 'cut-invalid' */
export function checkCut(cut: unknown): Cut {
  return checked(cutSchema, cut, bad)
}

function bad(reason: string): Problem {
  return new Problem('cut-invalid', { reason })
}
