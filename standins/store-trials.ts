import {
  calibrated,
  calibrationOf,
  combine,
  fromFeedback,
  learnedRate,
  storeSales,
  usualLeaveRate,
  type Estimate,
  type HeldItem,
  type JudgedEstimate,
} from '@sickle/core/estimates'
import { heldItem } from '@sickle/core/stores'
import { feedbackOf, trueUnits } from './observables'
import { parted, type Trials } from './parted'
import type { StandinListing } from './things'
import type { World } from './world'

/** Stores with their listings, and what is seen of each in 30 days beside what it truly sold. */
export function seenStores({ listings, make }: World) {
  const [items, stores] = [new Map<string, StandinListing[]>(), new Map<string, StandinListing[]>()]
  const add = (to: typeof items, key: string, l: StandinListing) => to.set(key, [...(to.get(key) ?? []), l])
  for (const l of listings) {
    add(items, `${l.goods.id} ${l.store.market.name}`, l)
    add(stores, l.store.name, l)
  }
  const sold = (list: readonly StandinListing[]) => list.reduce((sum, l) => sum + trueUnits(l, 30), 0)
  const left = (list: readonly StandinListing[]) => list.reduce((sum, l) => sum + feedbackOf(l, make.seen).days30, 0)
  const held = new Map<string, HeldItem[]>()
  for (const list of items.values()) {
    const shares = make.seen.featured(list)
    list.forEach((l, i) =>
      held.set(l.store.name, [...(held.get(l.store.name) ?? []), heldItem(sold(list), shares[i] as number)]),
    )
  }
  return { stores: [...stores], sold, left, held: (store: string) => held.get(store) ?? [] }
}

/** Stores as if they published nothing: from the feedback left with them, and from what their items sell and how often they are featured. */
export function byStores(world: World, draw: number): Record<string, Trials> {
  const { stores, sold: truth, left, held } = seenStores(world)
  const { own, others } = parted(stores, draw)
  const judged = (list: typeof own, of: (name: string, list: StandinListing[]) => Estimate | null) =>
    list.flatMap(([name, its]): JudgedEstimate[] => {
      const estimate = of(name, its)
      return estimate ? [{ estimate, truth: truth(its) }] : []
    })
  const rate = learnedRate(
    own.map(([, list]) => ({ left: left(list), sold: truth(list) })),
    usualLeaveRate,
  )
  const byItems = (name: string) => storeSales(held(name))
  const itemsLearned = calibrationOf(judged(own, byItems))
  const itemsNow = (name: string) => {
    const e = byItems(name)
    return e && calibrated(e, itemsLearned)
  }
  const byFeedback = (r: typeof rate) => (_: string, list: StandinListing[]) => fromFeedback(left(list), r)
  const together = (itemsOf: typeof byItems, r: typeof rate) => (name: string, list: StandinListing[]) =>
    combine([itemsOf(name), byFeedback(r)(name, list)].flatMap((e) => e ?? []))
  const bothLearned = calibrationOf(judged(own, together(itemsNow, rate)))
  const bothNow = (name: string, list: StandinListing[]) => {
    const e = together(itemsNow, rate)(name, list)
    return e && (itemsNow(name) ? calibrated(e, bothLearned) : e)
  }
  return {
    'store, by feedback': {
      plain: judged(others, byFeedback(usualLeaveRate)),
      learned: judged(others, byFeedback(rate)),
    },
    'store, by its items': { plain: judged(others, byItems), learned: judged(others, itemsNow) },
    'store, by both': {
      plain: judged(others, together(byItems, usualLeaveRate)),
      learned: judged(others, bothNow),
    },
  }
}
