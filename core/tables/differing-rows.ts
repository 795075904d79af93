import { packWords } from './word-list'
import type { Column, Table, TextColumn } from './table'

/**
 * Which rows of a table hold something else than the rows of another that they go with.
 *
 * @param rowOf row → row of the other; -1 where it goes with none, which is no difference
 * @returns 1 for each row in which any value of any column differs
 */
export function differingRows(other: Table, table: Table, rowOf: Int32Array): Uint8Array {
  const differs = new Uint8Array(table.rows)
  for (const name of new Set([...Object.keys(other.columns), ...Object.keys(table.columns)])) {
    const [then, now] = [other.columns[name], table.columns[name]]
    const isSame = then?.type === 'text' || now?.type === 'text' ? sameText(then, now) : sameFigure(then, now)
    for (let row = 0; row < rowOf.length; row++) {
      const old = rowOf[row] as number
      if (old >= 0 && differs[row] === 0 && !isSame(old, row)) differs[row] = 1
    }
  }
  return differs
}

type IsSame = (old: number, row: number) => boolean

function sameFigure(then: Column | undefined, now: Column | undefined): IsSame {
  const [olds, news] = [then, now].map((c) => (c?.type === 'number' ? c.values : null))
  return (old, row) => Object.is(olds?.[old] ?? NaN, news?.[row] ?? NaN)
}

/** Compared by their bytes: dictionaries number words as they meet them, and no text is made of each of a million. */
function sameText(then: Column | undefined, now: Column | undefined): IsSame {
  const [a, b] = [bytesOf(then), bytesOf(now)]
  return (old, row) => {
    const [fromA, toA] = a(old)
    const [fromB, toB] = b(row)
    if (toA - fromA !== toB - fromB || fromA < 0 !== fromB < 0) return false
    for (let i = 0; i < toA - fromA; i++) if (a.bytes[fromA + i] !== b.bytes[fromB + i]) return false
    return true
  }
}

/** Where the bytes of a row's word begin and end; -1 twice where it has none. */
function bytesOf(column: Column | undefined) {
  const text: TextColumn | null = column?.type === 'text' ? column : null
  const { bytes, ends } = packWords(text?.words ?? [])
  const span = (row: number): readonly [number, number] => {
    const code = text?.codes[row] ?? -1
    if (code < 0) return [-1, -1]
    return [code === 0 ? 0 : (ends[code - 1] as number), ends[code] as number]
  }
  return Object.assign(span, { bytes })
}
