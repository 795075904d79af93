import { isBlank, type Cell } from '../notation'

export interface RejectedRow {
  row: number
  reason: string
  cells: Cell[]
}

/** Rejected rows as a file that can be corrected and brought again: the file's own headings, with row and reason in front. */
export function rejectedAsTable(headings: readonly string[], rejected: readonly RejectedRow[]): Cell[][] {
  return [
    [rejectColumns[0], rejectColumns[1], ...headings],
    ...rejected.map((r) => [
      r.row,
      r.reason,
      ...headings.map((_, i) => (isBlank(r.cells[i]) ? '' : (r.cells[i] as Cell))),
    ]),
  ]
}

/** Headings that a download of rejected rows adds; a file of the same shape is recognised without them. */
export const rejectColumns = ['Row in file', 'Why it was not taken'] as const
