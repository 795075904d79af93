import { concentration, type Concentration } from './concentration'

export type RoomWord = 'open' | 'shared' | 'held' | 'crowded' | 'untested' | 'unclear'

export interface Room {
  word: RoomWord
  /** 0–1, how open to one more seller; null where sales are not known */
  openness: number | null
  sellers: number
  /** of how many of them what they sell is known */
  known: number
  topShare: number | null
  hhi: number | null
  /** how many of the largest sellers make 80 % of the units, and the Gini coefficient of all */
  makeMost: number | null
  gini: number | null
}

/** Rule-of-thumb bands (common practice, no source): a handful of sellers is healthy, none is a warning. */
export const roomRules = {
  handful: 12,
  crowded: 30,
  heldShare: 0.6,
  heldHhi: 5000,
  /** how sales are spread is told from so many units on, and where so large a share of the sellers is known */
  leastUnits: 10,
  leastKnown: 0.5,
}

/**
 * How open an item is to one more seller, from how many sell it and how their sales are spread. The spread is of those alone whose sales
 * are known, and is not told from too few of them or from too few units: then nothing is called held, nor open.
 *
 * @param salesBySeller units of each seller in the window, zeros included; null where not known
 */
export function roomOf(salesBySeller: readonly (number | null)[], rules = roomRules): Room {
  const sellers = salesBySeller.length
  const sales = salesBySeller.filter((s) => s !== null)
  const units = sales.reduce((a, b) => a + b, 0)
  const isTold = units >= rules.leastUnits && sales.length >= rules.leastKnown * sellers
  const spread = isTold ? concentration(sales) : null
  const base = {
    sellers,
    known: sales.length,
    topShare: spread?.top ?? null,
    hhi: spread?.hhi ?? null,
    makeMost: spread?.makeMost ?? null,
    gini: spread?.gini ?? null,
  }
  return { word: wordOf(sellers, spread, rules), openness: spread && opennessOf(sellers, spread, rules), ...base }
}

function wordOf(sellers: number, spread: Concentration | null, rules: typeof roomRules): RoomWord {
  if (sellers <= 1) return 'untested'
  if (sellers >= rules.crowded) return 'crowded'
  if (!spread) return 'unclear'
  if (spread.top >= rules.heldShare || spread.hhi >= rules.heldHhi) return 'held'
  return sellers <= rules.handful ? 'open' : 'shared'
}

function opennessOf(sellers: number, { top }: Concentration, rules: typeof roomRules): number {
  const crowd = Math.max(0, Math.min(1, (rules.crowded - sellers) / (rules.crowded - rules.handful / 2)))
  const evenness = 1 - Math.max(0, top - 1 / sellers)
  // One seller alone proves demand for that seller only.
  const alone = sellers === 1 ? 0.5 : 1
  return Math.min(1, crowd) * evenness * alone
}
