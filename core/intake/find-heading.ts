import { bareNumber } from './number-style'
import { isBlank, type Cell } from './opened-file'
import { parseDay } from './day-style'
import { tierStart } from './tiers'

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
  const named = row.filter((cell) => !isBlank(cell) && !isFigure(cell)).length
  const isHeading =
    named >= Math.max(1, (filled[at] ?? 0) * 0.6) || (named >= 1 && row.filter(isDateOrTier).length >= 2)
  const headings = Array.from({ length: columns }, (_, i) =>
    isHeading && !isBlank(row[i]) ? String(row[i]).trim() : `Column ${i + 1}`,
  )
  return { at: isHeading ? at : at - 1, headings, notes: notes.filter((n) => n !== '') }
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
