import type { Schema } from 'yup'
import { correctionsNow, correctionsSchema, pricesSchema, rulesNow, rulesSchema } from '@sickle/core/catalog'
import { cutRunsSchema, cutsNow, cutsSchema, queryNow, querySchema } from '@sickle/core/engine'
import { storeCutsNow, storeCutsSchema } from '@sickle/core/stores'
import { draftSchema, draftsNow, draftsSchema, joinDrafts, changedDrafts } from '@sickle/core/launch'
import { scenariosSchema } from '@sickle/core/margin'
import { adCutsSchema, peopleSchema } from '@sickle/core/social'
import { designsSchema, purchasesSchema, quotesSchema } from '@sickle/core/supply'
import { anyText, text, listOf, oneOf, orNull, record, span, whole } from '@sickle/core/schema'
import {
  joinSheaves,
  judgementsSchema,
  sheafHeadSchema,
  sheafStepSchema,
  sheavesSchema,
  changedSheaves,
} from '@sickle/core/verdict'
import { learnedNow, learnedSchema } from './learned-form'
import { settingsNow, settingsSchema } from './settings-form'

interface DocumentForm {
  /** as the seller calls it, in the plural */
  label: string
  /** brings what an earlier version kept up to this one's form */
  now: (stored: unknown) => unknown
  /** what it must be, at rest and in a backup */
  schema: Schema
  /** how it rests in parts, so that changing one of thousands writes one; left out, it rests in one piece */
  inParts?: InParts
}

/** What has to be written of a document in parts: what a head says of them, and those that are others than rest, by their names. */
export interface PartChanges {
  head: unknown
  put: [string, unknown][]
  gone: string[]
}

export interface InParts {
  /** @param before the document as it rests; null where nothing is known to rest */
  changes: (next: never, before: never) => PartChanges
  /** the document again; null where a part is missing */
  join: (head: never, parts: ReadonlyMap<string, unknown>) => unknown
  headSchema: Schema
  partSchema: Schema
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
const forms = {
  settings: { label: 'Your settings', now: settingsNow, schema: settingsSchema },
  rules: { label: 'Your rules of money', now: rulesNow, schema: rulesSchema },
  corrections: { label: 'Your corrections of items', now: correctionsNow, schema: correctionsSchema },
  sheaves: {
    label: 'Your sheaves and decisions',
    now: asItIs,
    schema: sheavesSchema,
    inParts: { changes: changedSheaves, join: joinSheaves, headSchema: sheafHeadSchema, partSchema: sheafStepSchema },
  },
  cuts: { label: 'Your Cuts', now: cutsNow, schema: cutsSchema },
  storeCuts: { label: 'Your Cuts of stores', now: storeCutsNow, schema: storeCutsSchema },
  storeCutRuns: { label: 'The runs of your Cuts of stores', now: asItIs, schema: cutRunsSchema },
  pool: {
    label: 'Your pool of stores',
    now: asItIs,
    schema: record({
      stores: listOf(record({ market: text(200), name: text(500) }), 200),
      floor: whole(0, 1e9),
    }),
  },
  drafts: {
    label: 'Your drafts',
    now: draftsNow,
    schema: draftsSchema,
    inParts: { changes: changedDrafts, join: joinDrafts, headSchema: listOf(text(200), 1e5), partSchema: draftSchema },
  },
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
  scenarios: { label: 'Your what-ifs', now: asItIs, schema: scenariosSchema },
  designs: { label: 'Your designs', now: asItIs, schema: designsSchema },
  quotes: { label: 'Your quotes and samples', now: asItIs, schema: quotesSchema },
  adCuts: { label: 'Your Cuts of advertisements', now: asItIs, schema: adCutsSchema },
  people: { label: 'Creators that you write to', now: asItIs, schema: peopleSchema },
  purchases: { label: 'What you ordered of suppliers', now: asItIs, schema: purchasesSchema },
  cutRuns: { label: 'The runs of your Cuts', now: asItIs, schema: cutRunsSchema },
} as const satisfies Record<string, DocumentForm>

export type DocumentName = keyof typeof forms
export const documentForms: Readonly<Record<DocumentName, DocumentForm>> = forms
export const documentNames = Object.keys(forms) as DocumentName[]
