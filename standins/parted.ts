import type { JudgedEstimate } from '@sickle/core/estimates'
import { chance } from './random'

/** how many listings, or stores, are one's own: both is known of those */
export const ownPairs = 30

/** Estimates of one kind beside the truth: before anything is known of one's own, and with thirty such pairs. */
export interface Trials {
  plain: JudgedEstimate[]
  learned: JudgedEstimate[]
}

/** Thirty of a list are one's own, evenly drawn; the others are judged. */
export function parted<T>(list: readonly T[], draw: number): { own: T[]; others: T[] } {
  const random = chance(101 + draw)
  const places = new Set<number>()
  while (places.size < Math.min(ownPairs, list.length / 2)) places.add(random.whole(0, list.length - 1))
  return { own: list.filter((_, i) => places.has(i)), others: list.filter((_, i) => !places.has(i)) }
}
