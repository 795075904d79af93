import { limitSchema } from '../engine'
import { Problem } from '../problem'
import { anyText, byName, checked, listOf, oneOf, record, span, text, truth } from '../schema'
import type { Schema } from 'yup'
import { storeFacets } from './store-facets'
import { storeFigures } from './store-figures'
import { emptyStoreQuery, type StoreQuery } from './store-query'

/** A kept set of limits and an order for stores. */
export interface StoreCut {
  name: string
  query: StoreQuery
  /** came with Sickle, cannot be changed */
  ships: boolean
}

/** Those that ship; thresholds are the trade's rules of thumb (common practice, no source). */
export const shippedStoreCuts: readonly StoreCut[] = [
  { name: 'Worth a study', ships: true, query: { ...emptyStoreQuery, meetsOnly: true } },
  {
    name: 'Opened within a year',
    ships: true,
    query: { ...emptyStoreQuery, limits: { age: [null, 12] }, sort: { by: 'units', descending: true } },
  },
  {
    name: 'Sells nearly all it lists',
    ships: true,
    query: {
      ...emptyStoreQuery,
      limits: { sellThrough: [0.85, null], listings: [10, null] },
      sort: { by: 'unitsPerListing', descending: true },
    },
  },
]

const orders = ['name', 'age', 'selling', ...storeFigures.map((f) => f.name)]
const limited = new Set(['age', ...storeFigures.map((f) => f.name)])
const strangerIn = (limits: unknown) =>
  typeof limits === 'object' && limits !== null
    ? (Object.keys(limits).find((name) => !limited.has(name)) ?? null)
    : null

export const storeQuerySchema = record({
  ...(Object.fromEntries(storeFacets.map(({ name }) => [name, listOf(text(500), 1000)])) as Record<string, Schema>),
  criteria: record({ leastSales: span(0, 1e12), mostMonths: span(0, 1e5) }),
  meetsOnly: truth(),
  words: anyText(500),
  names: listOf(anyText(500), 1000),
  limits: byName(limitSchema, 100).test(
    'figures',
    ({ value }) => `has no figure ${strangerIn(value) ?? ''}`,
    (v) => strangerIn(v) === null,
  ),
  sort: record({ by: oneOf(...orders), descending: truth() }),
})

/** One schema for the name that is typed, the file, what rests, and backups. */
export const storeCutSchema = record({ name: text(80), ships: truth(), query: storeQuerySchema })
export const storeCutsSchema = listOf(storeCutSchema, 1000)

/** A question as it rests or stands in a file: what it does not speak of is open. */
export function storeQueryNow(stored: unknown): unknown {
  if (typeof stored !== 'object' || stored === null || Array.isArray(stored)) return stored
  return { ...emptyStoreQuery, ...(stored as Partial<StoreQuery>) }
}

export function storeCutsNow(stored: unknown): unknown {
  if (!Array.isArray(stored)) return stored
  return stored.map((cut: unknown) => ({
    ...(cut as object),
    query: storeQueryNow((cut as { query?: unknown } | null)?.query),
  }))
}

/** A Cut of stores from a file. @throws Problem 'cut-invalid' naming what is wrong, and where */
export function readStoreCut(json: unknown): StoreCut {
  if (typeof json !== 'object' || json === null || Array.isArray(json)) throw bad('it is no Cut')
  const { name, stores } = json as { name?: unknown; stores?: unknown }
  if (stores === undefined) throw bad('it is no Cut of stores')
  return checkStoreCut({ name, query: storeQueryNow(stores), ships: false })
}

/** The same as a file: one of stores says so, so that it is never taken for one of items. */
export const storeCutFile = ({ name, query }: StoreCut) => ({ name, stores: query })

/** A Cut as the seller makes it. @throws Problem 'cut-invalid' */
export function checkStoreCut(cut: unknown): StoreCut {
  return checked(storeCutSchema, cut, bad)
}

function bad(reason: string): Problem {
  return new Problem('cut-invalid', { reason })
}
