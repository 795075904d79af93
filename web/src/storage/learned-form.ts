import { recordKinds } from '@sickle/core/records'
import type { Learned } from '@sickle/core/intake'
import { anyText, byName, listOf, oneOf, orNull, record, text, whole } from '@sickle/core/schema'

const kind = () => oneOf(...recordKinds.map((k) => k.name))

const use = record({
  as: oneOf('field', 'tier', 'day', 'unused'),
  field: text(60).optional(),
  from: whole(1, 1e9).optional(),
  day: whole(-1e6, 1e6).optional(),
})

/** What the seller has taught the intake. */
export const learnedSchema = record({
  columns: listOf(
    record({
      kind: kind(),
      heading: anyText(500),
      shown: anyText(2000),
      holds: oneOf('figures', 'days', 'words', 'nothing'),
      use,
    }),
    1e5,
  ),
  files: byName(
    record({
      file: anyText(500),
      kind: kind().optional(),
      market: orNull(anyText(200)).optional(),
      supplier: orNull(anyText(200)).optional(),
      currency: orNull(anyText(3)).optional(),
      number: record({ decimal: oneOf('.', ','), group: oneOf('', '.', ',', ' ', "'") })
        .optional()
        .default(undefined),
      order: oneOf('dmy', 'mdy').optional(),
      windowDays: whole(1, 100_000).optional(),
      said: listOf(anyText(200), 100).optional(),
    }),
    1e5,
  ),
})

/**
 * What was learned, as it rests. Earlier versions kept whole mappings, our own guesses among them: of those only the names of
 * markets and suppliers are taken over, which nobody but the seller can have said.
 */
export function learnedNow(stored: unknown): unknown {
  const now = (stored ?? {}) as Partial<Learned>
  if (now.columns !== undefined) return { ...now, files: now.files ?? {} }
  const kept = (stored ?? {}) as Record<string, { mapping?: { market?: unknown; supplier?: unknown } } | null>
  const files: Learned['files'] = {}
  for (const [shape, entry] of Object.entries(kept)) {
    const { market, supplier } = entry?.mapping ?? {}
    const answers = { ...(typeof market === 'string' && { market }), ...(typeof supplier === 'string' && { supplier }) }
    if (Object.keys(answers).length > 0) files[shape] = { ...answers, file: 'an earlier file' }
  }
  return { columns: [], files }
}
