import { Dictionary } from './dictionary'
import { textAt, type Column, type Table, type TextColumn } from './table'

/** Rows that follow each other in both tables: they are copied in one go. */
interface Run {
  /** first row in the new table, and in the one that it is taken from */
  at: number
  from: number
  rows: number
}

/**
 * A table put together of rows of two: row `i` is row `from[i]` of the first, and where that is -1 the next row of the second.
 *
 * @param fresh as many rows as `from` has -1s
 */
export function gatherRows(table: Table, from: Int32Array, fresh: Table): Table {
  const { kept, added } = runsOf(from)
  const names = new Set([...Object.keys(table.columns), ...Object.keys(fresh.columns)])
  const columns: Record<string, Column> = {}
  // columns that are one list stay one
  const done: { olds: Float64Array | null; news: Float64Array | null; values: Float64Array }[] = []
  for (const name of names) {
    const [old, more] = [table.columns[name], fresh.columns[name]]
    if ((old ?? more)?.type === 'text') {
      const codes = new Int32Array(from.length).fill(-1)
      const [olds, news] = [old, more].map((c) => (c?.type === 'text' ? c : null))
      if (olds) copyRuns(codes, olds.codes, kept)
      columns[name] = { type: 'text', codes, words: addTexts(codes, olds ?? null, news ?? null, added) }
    } else {
      const [olds = null, news = null] = [old, more].map((c) => (c?.type === 'number' ? c.values : null))
      const same = done.find((d) => d.olds === olds && d.news === news)
      const values = same?.values ?? new Float64Array(from.length)
      columns[name] = { type: 'number', values }
      if (same) continue
      copyRuns(values, olds, kept)
      copyRuns(values, news, added)
      done.push({ olds, news, values })
    }
  }
  return { rows: from.length, columns }
}

function runsOf(from: Int32Array): { kept: Run[]; added: Run[] } {
  const [kept, added]: [Run[], Run[]] = [[], []]
  let next = 0
  for (let at = 0; at < from.length;) {
    const first = from[at] as number
    let rows = 1
    if (first >= 0) while (from[at + rows] === first + rows) rows++
    else while (from[at + rows] === -1) rows++
    if (first >= 0) kept.push({ at, from: first, rows })
    else {
      added.push({ at, from: next, rows })
      next += rows
    }
    at += rows
  }
  return { kept, added }
}

function copyRuns<T extends Float64Array | Int32Array>(to: T, source: T | null, runs: readonly Run[]): void {
  for (const { at, from, rows } of runs)
    if (source) to.set(source.subarray(from, from + rows), at)
    else to.fill(NaN, at, at + rows)
}

/** Codes the added words as those that are there already are. @returns all of them, which are the same list where none is new */
function addTexts(
  codes: Int32Array,
  olds: TextColumn | null,
  news: TextColumn | null,
  added: readonly Run[],
): TextColumn['words'] {
  let dictionary: Dictionary | null = null
  for (const { at, from, rows } of added) {
    for (let i = 0; i < rows; i++) {
      const word = news ? textAt(news, from + i) : null
      if (word === null) continue
      dictionary ??= new Dictionary(olds?.words)
      codes[at + i] = dictionary.code(word)
    }
  }
  return dictionary?.words ?? olds?.words ?? []
}
