import Papa from 'papaparse'
import type { Cell } from './opened-file'

/**
 * Rows as CSV (RFC 4180, CRLF). A text that a spreadsheet would run as a formula gets an apostrophe in front; numbers stay numbers.
 */
export function writeCsv(rows: readonly (readonly Cell[])[]): string {
  return Papa.unparse(
    rows.map((row) => row.map((cell) => (typeof cell === 'string' ? guardFormula(cell) : cell))),
    { newline: '\r\n' },
  )
}

const risky = /^[=+\-@\t\r]/

/** @example guardFormula('=1+1') // "'=1+1" */
export function guardFormula(text: string): string {
  return risky.test(text) || /^'+[=+\-@\t\r]/.test(text) ? `'${text}` : text
}

/** Takes the guard away again from a file Sickle wrote. */
export function unguardFormula(text: string): string {
  return /^'+[=+\-@\t\r]/.test(text) ? text.slice(1) : text
}
