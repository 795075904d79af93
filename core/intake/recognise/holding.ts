import { bareNumber, isBlank, parseDay, type Cell } from '../../notation'

/** What a column holds, roughly: a correction counts for columns of its heading that hold the like. */
export type Holding = 'figures' | 'days' | 'words' | 'nothing'

/** Roughly what a column holds, by most of its cells. */
export function holdingOf(cells: readonly Cell[]): Holding {
  const filled = cells.filter((c) => !isBlank(c))
  if (filled.length === 0) return 'nothing'
  const most = (test: (cell: Cell) => boolean) => filled.filter(test).length > filled.length * 0.6
  if (most((c) => typeof c === 'string' && (parseDay(c, 'dmy') ?? parseDay(c, 'mdy')) !== null)) return 'days'
  return most((c) => typeof c === 'number' || (typeof c === 'string' && bareNumber(c) !== null)) ? 'figures' : 'words'
}
