import {
  checkNames,
  offerChecks,
  priceMoves,
  type CheckName,
  type Offer,
  type PriceMoves,
  type SupplierStanding,
} from '../supply'
import { workOut } from '../margin'
import type { Capture } from '../records'
import type { Assumption } from './assumption'
import { assumptionsOf } from './assumptions'
import { bestMarketOf } from './item'
import type { ItemMaker } from './item-maker'
import { costsWith } from './match-desk'
import { lowestOn } from './price-item'

/** One check over all that a supplier offers: how many of its offers keep it. Nothing adds them up. */
export interface SupplierCheck {
  name: CheckName
  holds: number
  breaks: number
  unknown: number
  /** the lowest and the highest value that is stated; texts by their letters, null where none is */
  from: number | string | null
  to: number | string | null
  wanted: number | string | null
}

/** An item that sells and that the supplier has. Money in E4 of the home currency. */
export interface SupplierItem {
  key: string
  title: string
  picture: string | null
  units: number | null
  offer: Pick<Offer, 'key' | 'id' | 'title'>
  /** goods of one sale by this offer, and what a sale would earn at the lowest price of the item's best market */
  landedE4: number | null
  profitE4: number | null
  /** what that rests on that nobody stated */
  assumed: Assumption[]
  /** whether it is this offer that the item is reckoned with */
  isUsed: boolean
}

export interface SupplierPage {
  supplier: string
  offers: number
  /** day of the newest of its offers, since 1970 */
  asOf: number
  standing: SupplierStanding | null
  checks: SupplierCheck[]
  moves: PriceMoves
  /** of the items that were looked through */
  items: SupplierItem[]
  looked: number
}

/** items that sell most, among which is looked for what the supplier has */
const mostLooked = 5_000

/**
 * A supplier read whole.
 *
 * @param places items in the order in which they are looked through, those that sell most first
 * @param captures all files of offers
 * @returns null where nothing of the supplier is known
 */
export function supplierPage(
  maker: ItemMaker,
  supplier: string,
  { places, captures }: { places: Iterable<number>; captures: readonly Capture[] },
): SupplierPage | null {
  const offers = maker.catalog.offers.filter((o) => o.supplier === supplier)
  if (offers.length === 0) return null
  const items: SupplierItem[] = []
  let looked = 0
  for (const place of places) {
    if (looked++ === mostLooked) break
    const found = itemOf(maker, place, supplier)
    if (found) items.push(found)
  }
  const standing = maker.corrections.suppliers[supplier] ?? null
  return {
    supplier,
    offers: offers.length,
    asOf: offers.reduce((most, o) => Math.max(most, o.capturedOn), -Infinity),
    standing,
    checks: checksOf(maker, offers, standing),
    moves: priceMoves(captures, supplier),
    items,
    looked: Math.min(looked, mostLooked),
  }
}

function itemOf(maker: ItemMaker, place: number, supplier: string): SupplierItem | null {
  const item = maker.at(place, false)
  if (item.kind === 'digital') return null
  const match = item.offers.find((m) => m.verdict === 'same' && m.offer.supplier === supplier)
  if (!match) return null
  const market = bestMarketOf(item)
  const { inputs } = costsWith(maker, item, market, match)
  const asked = lowestOn(item, market)
  const { landedE4, profitE4 } = workOut(inputs, asked ?? 0, true)
  return {
    key: item.key,
    title: item.title,
    picture: item.picture,
    units: item.units,
    offer: match.offer,
    landedE4,
    profitE4: asked === null ? null : profitE4,
    assumed: assumptionsOf({ ...item, offer: match }, market, maker),
    isUsed: item.offer?.offer.key === match.offer.key,
  }
}

/** What is said of a first order belongs to an item, and whether a supplier is avoided to the supplier. */
const notOfOffers: ReadonlySet<CheckName> = new Set(['avoided', 'lot'])

function checksOf({ rules }: ItemMaker, offers: readonly Offer[], standing: SupplierStanding | null): SupplierCheck[] {
  const all = offers.map((offer) => {
    const packs = Math.max(rules.costs.orderQuantity, offer.minOrder)
    return offerChecks(offer, rules.supply, { lot: { packs, outlayE4: null }, standing })
  })
  return checkNames
    .filter((name) => !notOfOffers.has(name))
    .map((name) => {
      const its = all.flatMap((checks) => checks.find((c) => c.name === name) ?? [])
      const values = its.flatMap(({ value }) => value ?? []).sort((a, b) => (a < b ? -1 : a > b ? 1 : 0))
      const how = (holds: boolean | null) => its.filter((c) => c.holds === holds).length
      return {
        name,
        holds: how(true),
        breaks: how(false),
        unknown: how(null),
        from: values[0] ?? null,
        to: values.at(-1) ?? null,
        wanted: its.find((c) => c.wanted !== null)?.wanted ?? null,
      }
    })
}
