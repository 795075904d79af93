import { mixed } from 'yup'
import { recordKinds } from '@sickle/core/records'
import { anyText, byName, listOf, oneOf, orNull, record, span, text, truth, whole } from '@sickle/core/schema'

const digest = () => text(64).matches(/^[0-9a-f]{64}$/, 'is no SHA-256')

/** The head of a backup: what it holds, and the SHA-256 of each. */
export const manifestSchema = record({
  format: oneOf('sickle-backup'),
  version: whole(1, 1000),
  entries: byName(digest(), 1e6),
})

const count = () => whole(0, 1e10)
const cell = mixed()
  .nullable()
  .test('cell', 'is no cell', (v) => v === null || ['string', 'number', 'boolean'].includes(typeof v))

/** One import of a backup: its entry in the ledger, and what could not be taken. */
export const importSchema = record({
  entry: record({
    id: text(200).matches(/^[\w-]+$/, 'is no name of an import'),
    file: text(1000),
    kind: oneOf(...recordKinds.map((k) => k.name)),
    from: orNull(anyText(500)),
    rows: count(),
    taken: count(),
    rejected: count(),
    doubts: count(),
    capturedOn: whole(-1e6, 1e6),
    windowDays: whole(0, 100_000),
    importedAt: span(0, 1e15),
    fileBytes: span(0, 1e15),
    segments: listOf(count(), 1e5),
    columns: listOf(listOf(text(60), 1000), 1e5).optional(),
    demo: truth(),
  }),
  rejects: orNull(
    record({
      headings: listOf(anyText(5000), 20_000),
      rejected: listOf(record({ row: count(), reason: anyText(2000), cells: listOf(cell, 20_000) }), 1e5),
      more: count(),
      doubts: listOf(record({ row: count(), field: anyText(100), reason: anyText(2000) }), 1e5),
    }),
  ),
})
