import { TableBuilder, type RowRecord, type Table } from '../tables'
import { isNumeric, keptFields, recordKind, type KindName } from './record-kinds'

/** For tests: records of a kind as a table with the columns that the kind keeps. */
export function tableOf(kind: KindName, rows: RowRecord[]): Table {
  const builder = new TableBuilder(
    keptFields(recordKind(kind)).map(({ name, type }) => ({ name, type: isNumeric(type) ? 'number' : 'text' })),
  )
  for (const row of rows) builder.add(row)
  return builder.finish()
}
