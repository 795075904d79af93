import { TableBuilder, type RowRecord, type Table } from '../../tables'
import { ByteImporter, type RowCheck } from '../bytes/import-bytes'
import type { OpenedFile } from '../open/opened-file'
import type { Mapping } from '../mapping'
import { RepeatFinder } from './repeat-finder'
import { isNumeric, keptFields, recordKind } from '../../records'

/** A way for a file's rows into tables, step by step. */
export interface Lane {
  /** records since the last table */
  rows: () => number
  /** one more record, made of several rows */
  add: (record: RowRecord) => void
  /** those records as a table; the next begins empty */
  finish: () => Table
  /** share of the file read, and rows taken in the step without a closer look */
  steps: (signal?: AbortSignal) => AsyncIterable<{ done: number; taken: number }>
}

/** Every row as text: any format, any mapping. */
export function textLane(
  file: OpenedFile,
  mapping: Mapping,
  check: RowCheck,
  onStrange: (row: number, names: readonly string[]) => void = () => undefined,
): Lane {
  const specs = keptFields(recordKind(mapping.kind)).map((f) => ({
    name: f.name,
    type: isNumeric(f.type) ? ('number' as const) : ('text' as const),
  }))
  const repeats = new RepeatFinder(mapping.columns.flatMap((use, at) => (use.as === 'unused' ? [] : [at])))
  let builder = new TableBuilder(specs)
  return {
    rows: () => builder.rows,
    add: (record) => void builder.add(record),
    finish() {
      const table = builder.finish()
      builder = new TableBuilder(specs)
      return table
    },
    async *steps(signal) {
      for await (const { batch, done } of file.rows(signal)) {
        for (const { row, cells, strange } of batch) {
          onStrange(row, strange ?? [])
          check(
            row,
            cells,
            () => repeats.seen(row, cells),
            (record) => void builder.add(record),
          )
        }
        yield { done, taken: 0 }
      }
    },
  }
}

/** Rows out of the file's bytes; only those that are not plain become text. */
export function byteLane(
  source: NonNullable<OpenedFile['byteRows']>,
  mapping: Mapping,
  check: RowCheck,
  onDay: (day: number) => void,
): Lane {
  const importer = new ByteImporter(mapping, check, onDay)
  return {
    rows: () => importer.table.rows,
    add: (record) => importer.table.add(record),
    finish: () => importer.finish(),
    async *steps(signal) {
      for await (const step of source.blocks(signal)) {
        if ('block' in step) yield { done: step.done, taken: importer.take(step.block, source.skip) }
        else {
          for (const { row, cells } of step.batch) if (row > source.skip) importer.textRow(row, cells)
          yield { done: step.done, taken: 0 }
        }
      }
    },
  }
}
