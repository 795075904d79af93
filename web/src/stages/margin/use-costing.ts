import { computed, toRaw, type Ref } from 'vue'
import { assumptionsOf, comparable, costOf, lowestOn, saleOf, type Item } from '@sickle/core/catalog'
import { ruledPrice } from '@sickle/core/launch'
import { sharedUnits } from '@sickle/core/verdict'
import {
  advertisingRoom,
  costSheet,
  highestBuyingPrice,
  payback,
  sensitivity,
  solvePrice,
  type CostInputs,
} from '@sickle/core/margin'
import type { Rung } from '@/shared/charts/ladder'
import { useRules } from '@/shared/stores/rules'
import { useSettings } from '@/shared/stores/settings'

/** All answers of money for an item on a market at a price; every number follows at once when one changes. */
export function useCosting(item: Ref<Item | null>, market: Ref<string>) {
  const rules = useRules()
  const basis = computed(() =>
    item.value && market.value ? costOf(item.value, market.value, toRaw(rules.rules), toRaw(rules.corrections)) : null,
  )
  const inputs = computed<CostInputs | null>(() => basis.value?.inputs ?? null)
  const ruled = computed(() =>
    item.value && market.value
      ? ruledPrice(item.value, market.value, toRaw(rules.rules), toRaw(rules.corrections))
      : null,
  )
  const lowest = computed(() => (item.value ? lowestOn(item.value, market.value) : null))
  const own = computed(() => (item.value ? rules.priceOf(item.value.key, market.value) : null))
  const price = computed(() => own.value ?? ruled.value?.priceE4 ?? lowest.value ?? item.value?.priceLowE4 ?? 100_000)
  const sheet = computed(() => (inputs.value ? costSheet(inputs.value, price.value) : null))
  const sale = computed(() =>
    item.value && market.value
      ? saleOf(item.value, market.value, price.value, {
          rules: toRaw(rules.rules),
          corrections: toRaw(rules.corrections),
        })
      : null,
  )
  const answers = useAnswers(item, inputs, price)
  const rungs = computed(() => (item.value && inputs.value ? rungsOf(item.value, market.value, inputs.value) : []))
  const notes = computed(() => basis.value?.notes ?? [])
  return {
    inputs,
    ruled,
    lowest,
    own,
    price,
    sheet,
    sale,
    rungs,
    notes,
    ...answers,
    assumed: computed(() => (item.value ? assumptionsOf(item.value, market.value, rules) : [])),
  }
}

/** What follows from the costs and a price. */
function useAnswers(item: Ref<Item | null>, inputs: Ref<CostInputs | null>, price: Ref<number>) {
  const [rules, settings] = [useRules(), useSettings()]
  const breakEven = computed(() => (inputs.value ? solvePrice(inputs.value, { profitE4: 0 }) : null))
  const floor = computed(() => (inputs.value ? solvePrice(inputs.value, { profitE4: rules.rules.minProfitE4 }) : null))
  const forMargin = (margin: number) => (inputs.value ? solvePrice(inputs.value, { margin }).lowestE4 : null)
  const buying = computed(() =>
    [...new Set([0.1, 0.2, 0.3, settings.value.wantedMargin])]
      .sort((a, b) => a - b)
      .map((margin) => ({
        margin,
        priceE4: inputs.value ? highestBuyingPrice(inputs.value, price.value, margin) : null,
        sellE4: forMargin(margin),
      })),
  )
  const adverts = computed(() => (inputs.value ? advertisingRoom(inputs.value, price.value) : null))
  const perDay = computed(() =>
    item.value?.units == null ? null : sharedUnits(item.value.units, item.value.listings.length) / 30,
  )
  const back = computed(() =>
    inputs.value && inputs.value.tiers?.length ? payback(inputs.value, price.value, perDay.value) : null,
  )
  const swings = computed(() => (inputs.value ? sensitivity(inputs.value, price.value).slice(0, 8) : []))
  return { breakEven, floor, forMargin, buying, adverts, perDay, back, swings }
}

/** Competing offers on a market at their delivered price, and what I would make there, cheapest first. */
function rungsOf(item: Item, market: string, inputs: CostInputs): Rung[] {
  return comparable(item.listings.filter((l) => l.market === market))
    .list.map((l) => ({
      id: l.key,
      label: l.store ?? l.id,
      priceE4: l.deliveredE4 as number,
      profitE4: costSheet(inputs, l.deliveredE4 as number).profitE4,
    }))
    .sort((a, b) => a.priceE4 - b.priceE4)
    .slice(0, 14)
}

export type Costing = ReturnType<typeof useCosting>
