import type { CellStyle } from './cell-style'
import type { Cell } from '../../notation'
import { currencyInCell, readValue } from './read-value'
import type { Field } from '../../records'

/** What a cell says. */
export interface ReadCell {
  value: string | number | null
  /** why the value is not known although something stands there */
  reason: string | null
  /** the currency an amount names itself */
  currency: string | null
}

/** A cell as its column reads it. */
export function readCell(cell: Cell, field: Field, style: CellStyle): ReadCell {
  const { value, reason } = readValue(cell, field.type, style)
  const currency = field.type === 'money' && value !== null ? currencyInCell(cell) : null
  return { value, reason: reason ?? null, currency }
}

const remembered = 8192

/**
 * A function that reads the cells of one column. What a column says it mostly says again (prices, days, stores, counts), so
 * readings are remembered; a column where nearly every cell differs is found out and read plainly.
 */
export function cellReader(field: Field, style: CellStyle): (cell: Cell) => ReadCell {
  const read = (cell: Cell) => readCell(cell, field, style)
  let known: Map<Cell, ReadCell> | null = new Map()
  let hits = 0
  return (cell) => {
    if (!known) return read(cell)
    const before = known.get(cell)
    if (before) {
      hits++
      return before
    }
    const made = read(cell)
    if (known.size >= remembered) {
      // Seldom met again: not worth the looking up. Else begin anew with what comes now.
      if (hits < remembered * 2) known = null
      else known.clear()
      hits = 0
    }
    known?.set(cell, made)
    return made
  }
}
