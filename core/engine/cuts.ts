import { Problem } from '../problem'
import { facets } from './facets'
import { measures } from './measures'
import { emptyQuery, type FacetChoices, type Query } from './query'

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

/** Checks a Cut that comes from a file. @throws Problem 'cut-invalid' */
export function readCut(json: unknown): Cut {
  const o = json as { name?: unknown; query?: Partial<Query> } | null
  const q = o?.query
  if (typeof o?.name !== 'string' || o.name.trim() === '' || typeof q !== 'object' || q === null)
    throw bad('it has no name or no limits')
  const texts = (list: unknown) => (Array.isArray(list) ? list.filter((v): v is string => typeof v === 'string') : [])
  const limits: Query['limits'] = {}
  for (const [name, span] of Object.entries(q.limits ?? {})) {
    if (!measures.some((m) => m.name === name)) throw bad(`there is no measure ${name}`)
    const ends = (Array.isArray(span) ? span : []) as unknown[]
    const fine = ends.length === 2 && ends.every((e) => e === null || (typeof e === 'number' && Number.isFinite(e)))
    if (!fine) throw bad(`the limit of ${name} is not two numbers`)
    limits[name] = [ends[0] as number | null, ends[1] as number | null]
  }
  const by = measures.find((m) => m.name === q.sort?.by)?.name ?? 'worth'
  return {
    name: o.name.slice(0, 80),
    ships: false,
    query: {
      words: typeof q.words === 'string' ? q.words : '',
      limits,
      ...(Object.fromEntries(facets.map((f) => [f, texts(q[f])])) as FacetChoices),
      stores: texts(q.stores),
      phrase: typeof q.phrase === 'string' ? q.phrase : '',
      sort: { by, descending: q.sort?.descending !== false },
    },
  }
}

function bad(reason: string): Problem {
  return new Problem('cut-invalid', { reason })
}
