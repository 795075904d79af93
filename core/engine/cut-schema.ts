import { anyText, byName, listOf, oneOf, orNull, record, span, text, truth } from '../schema'
import { mixed, type Schema } from 'yup'
import { categoryPath } from '../identity'
import { facets } from './facets'
import { measures } from './measures'
import { emptyQuery, type Query } from './query'

/** Both ends of a limit, null where it is open. */
export const limitSchema = mixed()
  .nullable()
  .test('ends', 'must be two numbers, or null where it is open, the lower first', (span) => {
    if (!Array.isArray(span) || span.length !== 2) return false
    const [low, high] = span as unknown[]
    const fine = [low, high].every((e) => e === null || (typeof e === 'number' && Number.isFinite(e)))
    return fine && (low === null || high === null || (low as number) <= (high as number))
  })

const limits = byName(limitSchema, 100).test(
  'measures',
  ({ value }) => `has no measure ${strangerIn(value) ?? ''}`,
  (v) => strangerIn(v) === null,
)

function strangerIn(limits: unknown): string | null {
  if (typeof limits !== 'object' || limits === null) return null
  return Object.keys(limits).find((name) => !measures.some((m) => m.name === name)) ?? null
}

/** What is asked of all items. */
export const querySchema = record({
  ...(Object.fromEntries(facets.map((f) => [f, listOf(text(500), 1000)])) as Record<string, Schema>),
  words: anyText(500),
  lens: listOf(text(500), 1000),
  limits,
  stores: listOf(text(500), 1000),
  own: oneOf('any', 'mine', 'others'),
  phrase: anyText(500),
  sort: record({ by: oneOf(...measures.map((m) => m.name)), descending: truth() }),
})

/** A Cut: one schema for the name that is typed, the file, what rests, and backups. */
export const cutSchema = record({ name: text(80), ships: truth(), query: querySchema })

export const cutsSchema = listOf(cutSchema, 1000)

/** What Cuts found when they were last run, by their name. */
export const cutRunsSchema = byName(
  record({
    data: anyText(1e6),
    at: span(0, 1e15),
    keys: listOf(anyText(4000), 1e5),
    before: orNull(record({ at: span(0, 1e15), keys: listOf(anyText(4000), 1e5) })),
  }),
  1000,
)

/** A query as it rests or stands in a file: what it does not speak of is open. */
export function queryNow(stored: unknown): unknown {
  if (typeof stored !== 'object' || stored === null || Array.isArray(stored)) return stored
  const query = { ...emptyQuery, ...(stored as Partial<Query>) }
  const { categories } = query as { categories: unknown }
  // as categories meet everywhere: 'Garden/Tools' is 'Garden / Tools'
  return Array.isArray(categories)
    ? { ...query, categories: categories.map((c: unknown) => (typeof c === 'string' ? categoryPath(c) : c)) }
    : query
}

export function cutsNow(stored: unknown): unknown {
  if (!Array.isArray(stored)) return stored
  return stored.map((cut: unknown) => ({
    ...(cut as object),
    query: queryNow((cut as { query?: unknown } | null)?.query),
  }))
}
