import type { Corrections } from '@sickle/core/catalog'
import type { CostInputs } from '@sickle/core/margin'
import type { KeptDocument } from './document'
import type { ByHand } from './by-hand'
import { clearingByHand } from './clearing-by-hand'
import { offersByHand } from './offers-by-hand'

/** What the seller says is otherwise than it was read: packs, offers and suppliers, which listings are the same, costs of one item. */
export function correctionsByHand(
  corrections: KeptDocument<Corrections>,
  step: (label: string, change: () => Promise<void>) => Promise<void>,
  clock: () => number,
) {
  const now = () => corrections.value.value
  const correct = (some: Partial<Corrections>) => corrections.set({ ...now(), ...some })
  const say: ByHand['say'] = (label, some) => step(label, () => correct(some))
  function setPack(key: string, pack: number | null): Promise<void> {
    const { [key]: _, ...packs } = now().packs
    return say('a pack count', { packs: pack === null ? packs : { ...packs, [key]: pack } })
  }
  /** A listing that is not the goods of an item; null puts it back to where it was joined. */
  function setApart(listing: string, from: string | null): Promise<void> {
    const { [listing]: _, ...apart } = now().apart
    const { [listing]: __, ...together } = now().together
    return say('what is the same', { apart: from === null ? apart : { ...apart, [listing]: from }, together })
  }
  /** Listings that are the goods of another item; null undoes it. */
  function setTogether(listings: readonly string[], item: string | null): Promise<void> {
    const drop = new Set(listings)
    const without = (of: Record<string, string>) => Object.fromEntries(Object.entries(of).filter(([k]) => !drop.has(k)))
    const { apart, together } = now()
    const added = item === null ? {} : Object.fromEntries(listings.map((l) => [l, item]))
    return say('what is the same', { apart: without(apart), together: { ...without(together), ...added } })
  }
  /** Whether what titles taught of some words is made use of. */
  function setTaught(lesson: string, isWanted: boolean): Promise<void> {
    const { [lesson]: _, ...unlearned } = now().unlearned
    return say('what titles taught', { unlearned: isWanted ? unlearned : { ...unlearned, [lesson]: true } })
  }
  /** A cost of one item alone; undefined takes it back to the rules. */
  function setOwnCost(item: string, some: Partial<CostInputs>): Promise<void> {
    const own = Object.fromEntries(Object.entries({ ...now().costs[item], ...some }).filter(([, v]) => v !== undefined))
    const { [item]: _, ...others } = now().costs
    const costs = Object.keys(own).length === 0 ? others : { ...others, [item]: own }
    return say('a cost', { costs })
  }
  return {
    correct,
    ...offersByHand({ now, say }),
    ...clearingByHand({ now, say }, clock),
    setPack,
    setApart,
    setTogether,
    setTaught,
    setOwnCost,
  }
}
