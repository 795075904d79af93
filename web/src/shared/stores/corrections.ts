import type { Corrections } from '@sickle/core/catalog'
import type { CostInputs } from '@sickle/core/margin'
import type { KeptDocument } from './document'
import { offersByHand } from './offers-by-hand'

/** What the seller says is otherwise than it was read: packs, offers and suppliers, which listings are the same, costs of one item. */
export function correctionsByHand(
  corrections: KeptDocument<Corrections>,
  step: (label: string, change: () => Promise<void>) => Promise<void>,
) {
  const correct = (some: Partial<Corrections>) => corrections.set({ ...corrections.value.value, ...some })
  function setPack(key: string, pack: number | null): Promise<void> {
    const { [key]: _, ...packs } = corrections.value.value.packs
    return step('a pack count', () => correct({ packs: pack === null ? packs : { ...packs, [key]: pack } }))
  }
  /** A listing that is not the goods of an item; null puts it back to where it was joined. */
  function setApart(listing: string, from: string | null): Promise<void> {
    const { [listing]: _, ...apart } = corrections.value.value.apart
    const { [listing]: __, ...together } = corrections.value.value.together
    return step('what is the same', () =>
      correct({ apart: from === null ? apart : { ...apart, [listing]: from }, together }),
    )
  }
  /** Listings that are the goods of another item; null undoes it. */
  function setTogether(listings: readonly string[], item: string | null): Promise<void> {
    const drop = new Set(listings)
    const without = (of: Record<string, string>) => Object.fromEntries(Object.entries(of).filter(([k]) => !drop.has(k)))
    const { apart, together } = corrections.value.value
    const added = item === null ? {} : Object.fromEntries(listings.map((l) => [l, item]))
    return step('what is the same', () =>
      correct({ apart: without(apart), together: { ...without(together), ...added } }),
    )
  }
  /** Whether what titles taught of some words is made use of. */
  function setTaught(lesson: string, isWanted: boolean): Promise<void> {
    const { [lesson]: _, ...unlearned } = corrections.value.value.unlearned
    return step('what titles taught', () =>
      correct({ unlearned: isWanted ? unlearned : { ...unlearned, [lesson]: true } }),
    )
  }
  /** A cost of one item alone; undefined takes it back to the rules. */
  function setOwnCost(item: string, some: Partial<CostInputs>): Promise<void> {
    const own = Object.fromEntries(
      Object.entries({ ...corrections.value.value.costs[item], ...some }).filter(([, v]) => v !== undefined),
    )
    const { [item]: _, ...others } = corrections.value.value.costs
    const costs = Object.keys(own).length === 0 ? others : { ...others, [item]: own }
    return step('a cost', () => correct({ costs }))
  }
  return { correct, ...offersByHand(corrections, step), setPack, setApart, setTogether, setTaught, setOwnCost }
}
