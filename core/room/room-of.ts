import { concentration } from './concentration'

export type RoomWord = 'open' | 'shared' | 'held' | 'crowded' | 'untested' | 'unclear'

export interface Room {
  word: RoomWord
  /** 0–1, how open to one more seller; null where sales are not known */
  openness: number | null
  sellers: number
  topShare: number | null
  hhi: number | null
  /** how many of the largest sellers make 80 % of the units, and the Gini coefficient of all */
  makeMost: number | null
  gini: number | null
}

/** Rule-of-thumb bands (common practice, no source): a handful of sellers is healthy, none is a warning. */
export const roomRules = { handful: 12, crowded: 30, heldShare: 0.6, heldHhi: 5000 }

/**
 * How open an item is to one more seller, from how many sell it and how their sales are spread.
 *
 * @param salesBySeller units of each seller in the window, zeros included
 */
export function roomOf(salesBySeller: readonly number[], rules = roomRules): Room {
  const sellers = salesBySeller.length
  const spread = concentration(salesBySeller)
  if (!spread)
    return {
      word: sellers === 0 ? 'untested' : 'unclear',
      openness: null,
      sellers,
      topShare: null,
      hhi: null,
      makeMost: null,
      gini: null,
    }
  const base = { sellers, topShare: spread.top, hhi: spread.hhi, makeMost: spread.makeMost, gini: spread.gini }
  const crowd = Math.max(0, Math.min(1, (rules.crowded - sellers) / (rules.crowded - rules.handful / 2)))
  const evenness = 1 - Math.max(0, spread.top - 1 / sellers)
  // One seller alone proves demand for that seller only.
  const alone = sellers === 1 ? 0.5 : 1
  const openness = Math.min(1, crowd) * evenness * alone
  if (sellers === 1) return { word: 'untested', openness, ...base }
  if (sellers >= rules.crowded) return { word: 'crowded', openness, ...base }
  if (spread.top >= rules.heldShare || spread.hhi >= rules.heldHhi) return { word: 'held', openness, ...base }
  return { word: sellers <= rules.handful ? 'open' : 'shared', openness, ...base }
}
