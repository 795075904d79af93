import { isoDay } from '../identity'
import { isNumeric, keptFields, recordKind, type FieldType, type KindName } from '../records'
import { tiersFromText } from '../notation'
import { numberAt, numbers, textAt, textColumn, type Table } from '../tables'

/** A column as it leaves Sickle: plain values in the units people use, no codes and no scaled whole numbers. */
export interface ExportedColumn {
  /** name for machines; the intake knows it again */
  name: string
  /** name for people; the intake knows it again */
  label: string
  help: string
  /** integers are counts and days of delivery; dates are ISO 8601 texts */
  type: 'text' | 'number' | 'integer' | 'date'
  required: boolean
  values: (string | number | null)[]
}

/**
 * The columns of a table of one kind in which anything is known. Money in its currency's units, ratios plain (0.25 is 25 %),
 * days as ISO 8601, a supplier's price steps as 'from:price;from:price'.
 *
 * @param tables segments of one table, in order
 */
export function exportedColumns(tables: readonly Table[], kind: KindName): ExportedColumn[] {
  return keptFields(recordKind(kind))
    .filter((f) => tables.some((t) => t.columns[f.name]))
    .map(({ name, label, help, type, required = false }) => ({
      name,
      // the intake is told that 0.25 is 25 %, so that it never has to guess
      label: type === 'ratio' ? `${label} (share)` : label,
      help,
      required,
      type: exportedType(type),
      values: tables.flatMap((t) => valuesOf(t, name, type)),
    }))
}

function exportedType(type: FieldType): ExportedColumn['type'] {
  if (type === 'day') return 'date'
  if (type === 'count' || type === 'lead') return 'integer'
  return ['money', 'ratio', 'rating'].includes(type) ? 'number' : 'text'
}

function valuesOf(table: Table, name: string, type: FieldType): (string | number | null)[] {
  const rows = Array.from({ length: table.rows }, (_, row) => row)
  if (isNumeric(type)) {
    const values = numbers(table, name)
    return rows.map((row) => shown(numberAt(values, row), type))
  }
  const column = textColumn(table, name)
  return rows.map((row) => {
    const text = textAt(column, row)
    return type === 'tiers' && text !== null ? tiersShown(text) : text
  })
}

function shown(value: number | null, type: FieldType): string | number | null {
  if (value === null) return null
  if (type === 'day') return isoDay(value)
  if (type === 'weight') return `${value} g`
  return type === 'money' ? value / 1e4 : value
}

function tiersShown(text: string): string {
  return tiersFromText(text)
    .map(({ from, priceE4 }) => `${from}:${priceE4 / 1e4}`)
    .join(';')
}
