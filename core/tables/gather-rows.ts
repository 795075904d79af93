import { Dictionary } from './dictionary'
import { textAt, type Column, type Table } from './table'

/**
 * A table put together of rows of two: row `i` is row `from[i]` of the first, and where that is -1 the next row of the second.
 *
 * @param fresh as many rows as `from` has -1s
 */
export function gatherRows(table: Table, from: Int32Array, fresh: Table): Table {
  const names = new Set([...Object.keys(table.columns), ...Object.keys(fresh.columns)])
  const columns: Record<string, Column> = {}
  for (const name of names) {
    const [old, added] = [table.columns[name], fresh.columns[name]]
    columns[name] = (old ?? added)?.type === 'text' ? gatherTexts(from, old, added) : gatherFigures(from, old, added)
  }
  return { rows: from.length, columns }
}

function gatherFigures(from: Int32Array, old: Column | undefined, added: Column | undefined): Column {
  const values = new Float64Array(from.length).fill(NaN, old && added ? from.length : 0)
  const [olds, news] = [old, added].map((c) => (c?.type === 'number' ? c.values : null))
  let next = 0
  for (let i = 0; i < from.length; i++) {
    const row = from[i] as number
    if (row >= 0) {
      if (olds) values[i] = olds[row] as number
    } else {
      if (news) values[i] = news[next] as number
      next++
    }
  }
  return { type: 'number', values }
}

function gatherTexts(from: Int32Array, old: Column | undefined, added: Column | undefined): Column {
  const codes = new Int32Array(from.length).fill(-1)
  const [olds, news] = [old, added].map((c) => (c?.type === 'text' ? c : null))
  const dictionary = new Dictionary(olds?.words)
  let next = 0
  for (let i = 0; i < from.length; i++) {
    const row = from[i] as number
    if (row >= 0) {
      if (olds) codes[i] = olds.codes[row] as number
      continue
    }
    const word = news ? textAt(news, next) : null
    if (word !== null) codes[i] = dictionary.code(word)
    next++
  }
  return { type: 'text', codes, words: dictionary.words }
}
