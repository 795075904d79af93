import type { Schema } from 'yup'
import { correctionsNow, correctionsSchema, pricesSchema, rulesNow, rulesSchema } from '@sickle/core/catalog'
import { cutRunsSchema, cutsNow, cutsSchema, queryNow, querySchema } from '@sickle/core/engine'
import { draftsNow, draftsSchema } from '@sickle/core/launch'
import { anyText, listOf, oneOf, orNull, record, span, whole } from '@sickle/core/schema'
import { judgementsSchema, sheavesSchema } from '@sickle/core/verdict'
import { learnedNow, learnedSchema } from './learned-form'
import { settingsNow, settingsSchema } from './settings-form'

interface DocumentForm {
  /** as the seller calls it, in the plural */
  label: string
  /** brings what an earlier version kept up to this one's form */
  now: (stored: unknown) => unknown
  /** what it must be, at rest and in a backup */
  schema: Schema
}

const asItIs = (stored: unknown) => stored
const keys = () => listOf(anyText(4000), 1e5)

const stop = record({
  id: whole(0, 1e9),
  parent: orNull(whole(0, 1e9)),
  place: record({
    kind: oneOf('branch', 'term', 'finds', 'store', 'item'),
    key: anyText(4000),
    label: anyText(4000),
    to: anyText(8000).matches(/^\/(?!\/)/, 'is no place in Sickle'),
    query: querySchema.optional().default(undefined),
  }),
})

/** Questions of earlier stops know fewer limits. */
function trailNow(stored: unknown): unknown {
  const { stops, ...rest } = (stored ?? {}) as { stops?: unknown }
  if (!Array.isArray(stops)) return stored
  return { ...rest, stops: stops.map(withQueryNow) }
}

function withQueryNow(stop: unknown): unknown {
  const { place } = (stop ?? {}) as { place?: { query?: unknown } }
  if (place?.query === undefined) return stop
  return { ...(stop as object), place: { ...place, query: queryNow(place.query) } }
}

/** The small documents of a workspace: all of them together with the imports are the workspace. */
export const documentForms = {
  settings: { label: 'Your settings', now: settingsNow, schema: settingsSchema },
  rules: { label: 'Your rules of money', now: rulesNow, schema: rulesSchema },
  corrections: { label: 'Your corrections of items', now: correctionsNow, schema: correctionsSchema },
  sheaves: { label: 'Your sheaves and decisions', now: asItIs, schema: sheavesSchema },
  cuts: { label: 'Your Cuts', now: cutsNow, schema: cutsSchema },
  drafts: { label: 'Your drafts', now: draftsNow, schema: draftsSchema },
  mappings: { label: 'Your corrections of columns', now: learnedNow, schema: learnedSchema },
  prices: { label: 'Your prices', now: asItIs, schema: pricesSchema },
  looks: {
    label: 'Your last looks',
    now: asItIs,
    schema: record({ at: span(0, 1e15), rising: keys(), fading: keys() }),
  },
  trail: {
    label: 'The stops of your Trail',
    now: trailNow,
    schema: record({ stops: listOf(stop, 1000), here: orNull(whole(0, 1e9)) }),
  },
  judgements: { label: 'Your judgements', now: asItIs, schema: judgementsSchema },
  cutRuns: { label: 'The runs of your Cuts', now: asItIs, schema: cutRunsSchema },
} as const satisfies Record<string, DocumentForm>

export type DocumentName = keyof typeof documentForms
export const documentNames = Object.keys(documentForms) as DocumentName[]
