import Papa from 'papaparse'
import type { Cell } from './cell'

/**
 * Rows as CSV (RFC 4180, CRLF). Every text is quoted, and one that a spreadsheet would run as a formula gets an apostrophe in front;
 * numbers stay numbers.
 */
export function writeCsv(rows: readonly (readonly Cell[])[]): string {
  return Papa.unparse(
    rows.map((row) => row.map((cell) => (typeof cell === 'string' ? guardFormula(cell) : cell))),
    { newline: '\r\n', quotes: (value: unknown) => typeof value === 'string' },
  )
}

/**
 * What spreadsheets take for the beginning of a formula, full-width forms with it, behind whatever they pass over: spaces, line
 * breaks, marks of direction. Source: OWASP, CSV Injection.
 */
const risky = /^(?:[\t\r\n]|[\s\p{Cf}\p{Cc}]*[=+\-@\uff1d\uff0b\uff0d\uff20])/u

const unquoted = (text: string) => text.replace(/^'+/, '')

/** @example guardFormula('=1+1') // "'=1+1" */
export function guardFormula(text: string): string {
  return risky.test(unquoted(text)) ? `'${text}` : text
}

/** Takes the guard away again from a file Sickle wrote. */
export function unguardFormula(text: string): string {
  return text.startsWith("'") && risky.test(unquoted(text)) ? text.slice(1) : text
}
