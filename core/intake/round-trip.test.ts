import fc from 'fast-check'
import { exportedColumns, writeExport, type ExportFormat } from '../exports'
import { gtinCheckDigit } from '../identity'
import { TableBuilder, type RowRecord } from '../tables'
import { importRows } from './read/import-rows'
import { openFile } from './open/open-file'
import { proposeMapping } from './recognise/propose-mapping'
import { Recogniser } from './recognise/guess-columns'
import { isNumeric, keptFields, recordKinds } from '../records/record-kinds'
import type { Field, RecordKind } from '../records/field'

const recogniser = new Recogniser()
const now = Date.UTC(2026, 11, 1)
// the last are names that every object has: text is text
const words = fc.constantFrom('bell', 'oak', 'brass', 'lead', 'mat', 'clock', 'blue', 'small')
const phrase = fc.array(words, { minLength: 2, maxLength: 5 }).map((w) => w.join(' '))

function valueOf(field: Field, row: number): fc.Arbitrary<string | number | null> {
  const known = ((): fc.Arbitrary<string | number> => {
    switch (field.type) {
      case 'money':
        return fc.integer({ min: 100, max: 9_999_999 }).map((e2) => e2 * 100)
      case 'count':
      case 'lead':
        return fc.integer({ min: 0, max: 90 })
      case 'weight':
        return fc.integer({ min: 1, max: 90_000 }).map((n) => n / 2)
      case 'size':
        return fc.integer({ min: 1, max: 90 }).map((n) => `${n} x ${n / 2} x 7.5 cm`)
      case 'ratio':
        return fc.integer({ min: -4000, max: 9000 }).map((n) => n / 1000)
      case 'rating':
        return fc.integer({ min: 0, max: 50 }).map((n) => n / 10)
      case 'day':
        return fc.integer({ min: 18_000, max: 20_700 })
      case 'gtin':
        return fc
          .integer({ min: 1e9, max: 9e9 })
          .map((n) => `0290${n}`.slice(0, 13))
          .map((b) => b + gtinCheckDigit(b))
      case 'currency':
        return fc.constantFrom('EUR', 'PLN')
      case 'id':
        return fc.constant(`00${row}-${field.name}`)
      case 'list':
        return phrase.map((p) => [...new Set(p.split(' '))].join('|'))
      case 'path':
        return phrase.map((p) => p.split(' ').join(' / '))
      case 'tiers':
        return fc.integer({ min: 2, max: 900 }).map((n) => `1:${n * 1000};10:${n * 900}`)
      default:
        return field.required
          ? phrase.map((p) => `${p} ${row}`)
          : fc.oneof(
              phrase.map((p) => `${p} ${row}`),
              fc.constantFrom('constructor', 'toString', '__proto__'),
            )
    }
  })()
  return field.required || field.name === 'currency' ? known : fc.option(known, { freq: 5 })
}

const tableOf = (kind: RecordKind) => {
  const fields = keptFields(kind)
  const row = (n: number) =>
    fc.tuple(...fields.map((f) => valueOf(f, n))).map((values): RowRecord => {
      const record = Object.fromEntries(fields.map((f, i) => [f.name, values[i] ?? null]))
      // the price of an offer is that of its first step
      if (typeof record.tiers === 'string') record.price = Number(/:(\d+)/.exec(record.tiers)?.[1])
      else if (kind.name === 'offers') record.price ??= 10_000
      if (kind.name === 'offers') record.tiers ??= `1:${record.price}`
      return record
    })
  return fc.tuple(...Array.from({ length: 9 }, (_, n) => row(n)))
}

const formats: ExportFormat[] = ['csv', 'xlsx', 'ndjson', 'parquet']

test.each(recordKinds.map((k) => [k.label, k] as const))(
  '%s written and read again are the same, in every format',
  async (_, kind) => {
    await fc.assert(
      fc.asyncProperty(tableOf(kind), fc.constantFrom(...formats), async (records, format) => {
        const builder = new TableBuilder(
          keptFields(kind).map((f) => ({ name: f.name, type: isNumeric(f.type) ? 'number' : 'text' })),
        )
        records.forEach((r) => builder.add(r))
        const columns = exportedColumns([builder.finish()], kind.name)
        const bytes = await writeExport(format, columns, kind.label)
        const file = await openFile(new File([bytes as Uint8Array<ArrayBuffer>], `x.${format}`))
        const { mapping } = proposeMapping(file, now, { recogniser })
        expect(mapping.kind).toBe(kind.name)
        const { table, rejected, doubts } = await importRows(file, mapping)
        expect([rejected, doubts]).toEqual([[], []])
        const values = (cols: typeof columns) => Object.fromEntries(cols.map((c) => [c.name, c.values]))
        expect(values(exportedColumns([table], kind.name))).toEqual(values(columns))
      }),
      { numRuns: 12 },
    )
  },
)
