import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { areFeesAssumed, noCorrections, plainRules, type Corrections, type SellerRules } from '@sickle/core/catalog'
import type { FeeSchedule } from '@sickle/core/margin'
import { plain } from '@/storage/plain'
import { useServices } from '@/services/services'
import { correctionsByHand } from './corrections'
import { keptDocument } from './document'
import { useSteps } from './steps'

/** All three documents of money as they stood at one time. */
interface Stand {
  rules: SellerRules
  corrections: Corrections
  prices: Record<string, number>
}

/** What the seller settled: money rules, corrections by hand, and the prices set in Margin. Each change is a step that can be taken back. */
export const useRules = defineStore('rules', () => {
  const { rules, corrections, prices, moved, load, snapshot, step } = useMoneyDocuments()
  const { correct, ...byHand } = correctionsByHand(corrections, step, useServices().now)

  /** Rules to begin with, such as the demo's: no step of the seller's. */
  const begin = (next: SellerRules) => rules.set(next)
  const set = (next: SellerRules) => step('a rule of money', () => rules.set(next))
  function setSchedule(schedule: FeeSchedule): Promise<void> {
    const others = rules.value.value.schedules.filter((s) => s.market !== schedule.market)
    const schedules = [...others, schedule].sort((a, b) => (a.market < b.market ? -1 : 1))
    return step(`the fees of ${schedule.market}`, () => rules.set({ ...rules.value.value, schedules }))
  }
  /** What was changed for one item becomes the rule for all. */
  function useForAll(item: string, costs: Partial<SellerRules['costs']>): Promise<void> {
    const { [item]: own = {}, ...others } = corrections.value.value.costs
    const left = Object.fromEntries(Object.entries(own).filter(([name]) => !(name in costs)))
    return step('costs for all items', async () => {
      await rules.set({ ...rules.value.value, costs: { ...rules.value.value.costs, ...costs } })
      await correct({ costs: Object.keys(left).length === 0 ? others : { ...others, [item]: left } })
    })
  }
  function setPrice(item: string, market: string, priceE4: number | null): Promise<void> {
    const { [`${item}|${market}`]: _, ...rest } = prices.value.value
    return step('a price', () => prices.set(priceE4 === null ? rest : { ...rest, [`${item}|${market}`]: priceE4 }))
  }
  const priceOf = (item: string, market: string): number | null => prices.value.value[`${item}|${market}`] ?? null

  return {
    rules: computed(() => rules.value.value),
    corrections: computed(() => corrections.value.value),
    home: computed(() => rules.value.value.homeCurrency),
    /** whether what is earned on a market rests on fees that nobody entered */
    areFeesAssumed: (market: string) => areFeesAssumed(rules.value.value, market),
    moved,
    load,
    snapshot,
    begin,
    set,
    setSchedule,
    ...byHand,
    useForAll,
    setPrice,
    priceOf,
  }
})

/** The documents of money, and how all three go back to where they stood before a step. */
function useMoneyDocuments() {
  const services = useServices()
  const steps = useSteps()
  const rules = keptDocument<SellerRules>(services, 'rules', () => plainRules('EUR'))
  const corrections = keptDocument<Corrections>(services, 'corrections', () => noCorrections)
  /** item key + market → price in E4 of the home currency */
  const prices = keptDocument<Record<string, number>>(services, 'prices', () => ({}))
  /** rises when a step was taken back or made again: what follows from the rules has to follow */
  const moved = ref(0)

  const load = () => Promise.all([rules.load(), corrections.load(), prices.load()])
  const snapshot = () => ({ rules: plain(rules.value.value), corrections: plain(corrections.value.value) })
  const stand = (): Stand => ({ ...snapshot(), prices: plain(prices.value.value) })

  async function goTo(then: Stand): Promise<void> {
    await Promise.all([rules.set(then.rules), corrections.set(then.corrections), prices.set(then.prices)])
    moved.value++
  }
  /** Changes something, and notes how to take it back. @param label what it was, behind "Take back:" */
  async function step(label: string, change: () => Promise<void>): Promise<void> {
    const before = stand()
    await change()
    const after = stand()
    steps.note({ label, undo: () => goTo(before), redo: () => goTo(after) })
  }
  return { rules, corrections, prices, moved, load, snapshot, step }
}
