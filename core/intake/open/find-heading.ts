import { bareNumber, isBlank, parseDay, tierStart, type Cell } from '../../notation'

export interface FoundHeading {
  /** index of the heading row in the grid, or -1 where the table has none */
  at: number
  headings: string[]
  /** texts above the heading */
  notes: string[]
}

/**
 * Finds the heading row below a preamble: the first row that is about as full as the rows under it and holds names, not
 * figures. A table without one gets 'Column 1', 'Column 2', …; null where the grid holds no table at all.
 */
export function findHeading(grid: readonly (readonly Cell[])[]): FoundHeading | null {
  const filled = grid.map((row) => row.reduce<number>((n, cell) => n + (isBlank(cell) ? 0 : 1), 0))
  const width = usualWidth(filled)
  if (width < 2) return null
  const at = filled.findIndex((n) => n >= Math.max(2, width * 0.6))
  const row = grid[at]
  if (!row) return null
  const notes = grid.slice(0, at).map((cells) => cells.filter((c) => !isBlank(c)).join(' '))
  const columns = grid.slice(at, at + 200).reduce((n, cells) => Math.max(n, lastFilled(cells) + 1), 0)
  const isHeading = namesItsColumns(row, grid.slice(at + 1, at + 1 + rowsSeen), columns)
  const headings = Array.from({ length: columns }, (_, i) =>
    isHeading && !isBlank(row[i]) ? String(row[i]).trim() : `Column ${i + 1}`,
  )
  return { at: isHeading ? at : at - 1, headings, notes: notes.filter((n) => n !== '') }
}

/** rows under a heading that are looked at */
const rowsSeen = 40

/**
 * Does a row name the columns under it, or is it a row like them? Words over figures name them, figures over figures do not; nor does
 * a text that comes again under itself, or a code over codes. Where nothing tells, words are names.
 */
function namesItsColumns(row: readonly Cell[], under: readonly (readonly Cell[])[], columns: number): boolean {
  let [names, data, words] = [0, 0, 0]
  for (let c = 0; c < columns; c++) {
    const cell = row[c] ?? null
    if (isBlank(cell)) continue
    const rest = under.flatMap((r) => (isBlank(r[c]) ? [] : [r[c] as Cell]))
    const figures = rest.filter(isFigure).length
    if (rest.length > 0 && figures > rest.length * 0.7) {
      if (!isFigure(cell) || isDayOverFigures(cell, rest)) names++
      else data++
    } else if (isFigure(cell)) data++
    else {
      words++
      const text = String(cell).trim()
      if (rest.some((r) => String(r).trim() === text)) data += 2
      else if (/\d/.test(text) && rest.length > 2 && rest.every((r) => shapeOf(String(r)) === shapeOf(text))) data += 2
    }
  }
  return names > data || (names === data && words > 0)
}

/** Days across a wide sales file, and quantities across a price list, stand over figures that are none. */
function isDayOverFigures(cell: Cell, rest: readonly Cell[]): boolean {
  return isDateOrTier(cell) && !rest.some((r) => isDateOrTier(r))
}

/** Letters and digits of a code, told apart: 'HP-107' is like 'HP-983'. */
function shapeOf(text: string): string {
  return text
    .slice(0, 40)
    .trim()
    .replace(/\p{Lu}/gu, 'A')
    .replace(/\p{Ll}/gu, 'a')
    .replace(/\d/g, '0')
    .replace(/0{2,}/g, '0')
}

/** The number of filled cells that most rows have, the fuller the better: a preamble's few cells do not count. */
function usualWidth(filled: number[]): number {
  const counts = new Map<number, number>()
  for (const n of filled) if (n > 0) counts.set(n, (counts.get(n) ?? 0) + 1)
  let best = 0
  let bestScore = 0
  for (const [n, times] of counts) {
    const score = times * n
    if (score > bestScore) [best, bestScore] = [n, score]
  }
  return best
}

function isFigure(cell: Cell | undefined): boolean {
  if (typeof cell === 'number' || typeof cell === 'boolean') return true
  if (typeof cell !== 'string') return false
  return (bareNumber(cell) !== null && tierStart(cell) === null) || parseDay(cell, 'dmy') !== null
}

function isDateOrTier(cell: Cell): boolean {
  return typeof cell === 'string' && (tierStart(cell) !== null || parseDay(cell, 'dmy') !== null)
}

function lastFilled(cells: readonly Cell[]): number {
  for (let i = cells.length - 1; i >= 0; i--) if (!isBlank(cells[i])) return i
  return -1
}
