import { Problem } from '../../../problem'
import { limits, type NumberedRow } from '../opened-file'
import type { Cell } from '../../../notation'

/** The names of records, in the order in which they were first met. */
export class RecordNames {
  readonly names = new Map<string, number>()
  readonly #file: string

  constructor(file: string) {
    this.#file = file
  }

  /** @throws Problem 'file-wide' once there are more than any table has */
  add(record: ReadonlyMap<string, Cell>): void {
    for (const name of record.keys()) if (!this.names.has(name)) this.names.set(name, this.names.size)
    if (this.names.size > limits.columns)
      throw new Problem('file-wide', { file: this.#file, columns: `${limits.columns} and more`, limit: limits.columns })
  }

  /** A record as a row under the names; names that are not among them are told of. */
  row(record: ReadonlyMap<string, Cell>, row: number): NumberedRow {
    const cells: Cell[] = Array.from({ length: this.names.size }, () => null)
    const strange: string[] = []
    for (const [name, cell] of record) {
      const at = this.names.get(name)
      if (at === undefined) {
        if (strange.length < 3) strange.push(name)
      } else cells[at] = cell
    }
    return strange.length > 0 ? { row, cells, strange } : { row, cells }
  }
}

/** A row for what is no record: reported with its text, not lost. */
export function brokenRow(text: string, row: number): NumberedRow {
  return { row, cells: [text.trim().slice(0, 2000)] }
}

/** What a text says as JSON; undefined where it is none. */
export function parsed(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    return undefined
  }
}
