import type { Column, Table } from './table'

/** Is this a column of numbers of which none is known? */
export function isBlank(column: Column | undefined): boolean {
  if (column?.type !== 'number') return false
  for (const value of column.values) if (!Number.isNaN(value)) return false
  return true
}

/**
 * The table with one list for all its columns of numbers of which none is known: a third of the figures of a large market are
 * such, and each is copied whenever items come or go. What is shared is not to be written into.
 */
export function sharingBlanks({ rows, columns }: Table): Table {
  const blank: Column = { type: 'number', values: new Float64Array(rows).fill(NaN) }
  const shared = Object.entries(columns).map(([name, column]) => [name, isBlank(column) ? blank : column] as const)
  return { rows, columns: Object.fromEntries(shared) }
}
