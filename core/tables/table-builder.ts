import { Dictionary } from './dictionary'
import type { Column, RowRecord, Table } from './table'

export interface ColumnSpec {
  name: string
  type: 'text' | 'number'
}

/**
 * Takes records one by one and ends as typed columns. Columns double as they fill, so adding is amortised constant.
 *
 * @example new TableBuilder([{ name: 'title', type: 'text' }]).add({ title: 'Nest box' }).finish().rows // 1
 */
export class TableBuilder {
  #rows = 0
  #capacity = 1024
  readonly #parts: {
    spec: ColumnSpec
    codes: Int32Array
    values: Float64Array
    dictionary: Dictionary
    known: boolean
  }[]

  constructor(specs: readonly ColumnSpec[]) {
    this.#parts = specs.map((spec) => ({
      spec,
      codes: new Int32Array(spec.type === 'text' ? this.#capacity : 0).fill(-1),
      values: new Float64Array(spec.type === 'number' ? this.#capacity : 0).fill(NaN),
      dictionary: new Dictionary(),
      known: false,
    }))
  }

  get rows(): number {
    return this.#rows
  }

  /** Adds one record; names that are not columns are ignored, missing ones are unknown. */
  add(record: RowRecord): this {
    if (this.#rows === this.#capacity) this.#grow()
    const row = this.#rows++
    for (const part of this.#parts) {
      const value = record[part.spec.name]
      if (value === null || value === undefined) continue
      part.known = true
      if (part.spec.type === 'text') part.codes[row] = part.dictionary.code(String(value))
      else if (typeof value === 'number') part.values[row] = value
    }
    return this
  }

  /** The table; columns in which nothing is known are left out, readers take them as unknown. */
  finish(): Table {
    const columns: Record<string, Column> = {}
    for (const { spec, codes, values, dictionary, known } of this.#parts) {
      if (!known) continue
      columns[spec.name] =
        spec.type === 'text'
          ? { type: 'text', codes: codes.slice(0, this.#rows), words: dictionary.words }
          : { type: 'number', values: values.slice(0, this.#rows) }
    }
    return { rows: this.#rows, columns }
  }

  #grow(): void {
    this.#capacity *= 2
    for (const part of this.#parts) {
      if (part.spec.type === 'text') part.codes = grown(part.codes, new Int32Array(this.#capacity).fill(-1))
      else part.values = grown(part.values, new Float64Array(this.#capacity).fill(NaN))
    }
  }
}

function grown<T extends Int32Array | Float64Array>(old: T, larger: T): T {
  larger.set(old)
  return larger
}
