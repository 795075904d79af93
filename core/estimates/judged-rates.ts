import { fromFeedback, usualLeaveRate } from './from-feedback'
import { learnedRate, type LeavePair } from './learned-rate'

/** sales from which on a store is judged */
const least = 5

/**
 * How often the 80 % interval from feedback holds what a store sold, once so many pairs are known: the share of many stores of many worlds.
 *
 * @param storeOf makes the next store of a world
 */
export function heldShare(
  storeOf: (world: number) => () => LeavePair,
  { known, worlds, stores }: { known: number; worlds: number; stores: number },
): number {
  let [hits, of] = [0, 0]
  for (let world = 0; world < worlds; world++) {
    const store = storeOf(world)
    const learned = learnedRate(Array.from({ length: known }, store), usualLeaveRate)
    for (let i = 0; i < stores; i++) {
      const { left, sold } = store()
      if (sold < least) continue
      const { low, high } = fromFeedback(left, learned)
      of++
      if (Math.round(low) <= sold && sold <= Math.round(high)) hits++
    }
  }
  return hits / of
}
