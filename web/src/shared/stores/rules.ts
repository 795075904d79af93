import { defineStore } from 'pinia'
import { computed } from 'vue'
import { noCorrections, plainRules, type Corrections, type SellerRules } from '@sickle/core/catalog'
import type { CostInputs, FeeSchedule } from '@sickle/core/margin'
import { plain } from '@/shared/plain'
import { useServices } from '@/app/services'
import { keptDocument } from './document'

/** What the seller settled: money rules, corrections by hand, and the prices set in Margin. */
export const useRules = defineStore('rules', () => {
  const services = useServices()
  const rules = keptDocument<SellerRules>(services, 'rules', () => plainRules('EUR'))
  const corrections = keptDocument<Corrections>(services, 'corrections', () => noCorrections)
  /** item key + market → price in E4 of the home currency */
  const prices = keptDocument<Record<string, number>>(services, 'prices', () => ({}))

  const load = () => Promise.all([rules.load(), corrections.load(), prices.load()])
  const snapshot = () => ({ rules: plain(rules.value.value), corrections: plain(corrections.value.value) })

  function setSchedule(schedule: FeeSchedule): Promise<void> {
    const others = rules.value.value.schedules.filter((s) => s.market !== schedule.market)
    return rules.set({
      ...rules.value.value,
      schedules: [...others, schedule].sort((a, b) => (a.market < b.market ? -1 : 1)),
    })
  }
  function setPack(key: string, pack: number | null): Promise<void> {
    const { [key]: _, ...packs } = corrections.value.value.packs
    return corrections.set({ ...corrections.value.value, packs: pack === null ? packs : { ...packs, [key]: pack } })
  }
  function setOffer(item: string, offer: string | null): Promise<void> {
    const { [item]: _, ...offers } = corrections.value.value.offers
    return corrections.set({
      ...corrections.value.value,
      offers: offer === null ? offers : { ...offers, [item]: offer },
    })
  }
  /** A listing that is not the goods of an item; null puts it back to where it was joined. */
  function setApart(listing: string, from: string | null): Promise<void> {
    const { [listing]: _, ...apart } = corrections.value.value.apart
    const { [listing]: __, ...together } = corrections.value.value.together
    return corrections.set({
      ...corrections.value.value,
      apart: from === null ? apart : { ...apart, [listing]: from },
      together,
    })
  }
  /** Listings that are the goods of another item; null undoes it. */
  function setTogether(listings: readonly string[], item: string | null): Promise<void> {
    const drop = new Set(listings)
    const without = (of: Record<string, string>) => Object.fromEntries(Object.entries(of).filter(([k]) => !drop.has(k)))
    const { apart, together } = corrections.value.value
    const added = item === null ? {} : Object.fromEntries(listings.map((l) => [l, item]))
    return corrections.set({
      ...corrections.value.value,
      apart: without(apart),
      together: { ...without(together), ...added },
    })
  }
  /** A cost of one item alone; undefined takes it back to the rules. */
  function setOwnCost(item: string, some: Partial<CostInputs>): Promise<void> {
    const own = Object.fromEntries(
      Object.entries({ ...corrections.value.value.costs[item], ...some }).filter(([, v]) => v !== undefined),
    )
    const { [item]: _, ...others } = corrections.value.value.costs
    return corrections.set({
      ...corrections.value.value,
      costs: Object.keys(own).length === 0 ? others : { ...others, [item]: own },
    })
  }
  function setPrice(item: string, market: string, priceE4: number | null): Promise<void> {
    const { [`${item}|${market}`]: _, ...rest } = prices.value.value
    return prices.set(priceE4 === null ? rest : { ...rest, [`${item}|${market}`]: priceE4 })
  }
  const priceOf = (item: string, market: string): number | null => prices.value.value[`${item}|${market}`] ?? null

  return {
    rules: computed(() => rules.value.value),
    corrections: computed(() => corrections.value.value),
    home: computed(() => rules.value.value.homeCurrency),
    load, snapshot, set: rules.set, setSchedule, setPack, setOffer, setApart, setTogether, setOwnCost, setPrice, priceOf,
  } // prettier-ignore
})
