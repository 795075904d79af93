import { firstOrder } from '../margin'
import { sampleNeed, type SampleNeed } from '../supply'
import { bestMarketOf } from './item'
import type { ItemMaker } from './item-maker'
import { costsWith } from './match-desk'

/** Why a sample of an item should be looked at first, and whose. */
export interface ItemSampleNeed {
  need: SampleNeed
  /** whose offer it is reckoned with; null where none is */
  supplier: string | null
}

/**
 * Which items a sample should be looked at of before they are listed: what runs on electricity, and what takes a dear first order.
 *
 * @param dearFromE4 from how much money a first order is dear, E4 of the home currency; null: none is
 * @returns by key; an item without a need is not in it, nor are files, of which there is no sample
 */
export function sampleNeeds(
  maker: ItemMaker,
  keys: readonly string[],
  dearFromE4: number | null,
): Map<string, ItemSampleNeed> {
  const needs = new Map<string, ItemSampleNeed>()
  for (const key of keys) {
    const place = maker.find(key)
    if (place === null) continue
    const item = maker.at(place, false)
    if (item.kind === 'digital') continue
    const market = bestMarketOf(item)
    const lot = item.offer ? firstOrder(costsWith(maker, item, market, item.offer).inputs, item.landedE4) : null
    const need = sampleNeed({ title: item.title, outlayE4: lot?.outlayE4 ?? null }, dearFromE4)
    if (need) needs.set(key, { need, supplier: item.offer?.offer.supplier ?? null })
  }
  return needs
}
