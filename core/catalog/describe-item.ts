import { addSeries, wilsonInterval, type StageOfLife, type UnitSeries } from '../demand'
import { findPackCount } from '../goods'
import { roomOf } from '../room'
import { nothingChosen } from '../supply'
import { worstGrade } from './grade'
import type { Item, MemberListing } from './item'
import type { Reach } from './item-reach'
import { toHome } from './home-amount'
import type { Listing } from './listing'
import { clearestTitle } from './clearest-title'
import { webAddress } from './listing-address'
import { goodsKind, type SellerRules } from './rules'
import { statedBy } from './stated-values'
import { unitsInWindow } from './units-in-window'
import type { UnpublishedUnits } from './unpublished-units'

/** A listing with its sales over time. */
export interface KnownListing {
  listing: Listing
  series: UnitSeries | null
  unpublished: UnpublishedUnits | null
}

interface Context {
  /** market → the last day its figures speak of */
  windowEnds: Record<string, number>
  life: StageOfLife | null
  reach: Reach
  /** of which home currency and rates are used */
  rules: SellerRules
}

/** Listings of the same goods as one item, not priced yet: no offers, no profit, no Worth. */
export function describeItem(known: readonly KnownListing[], { windowEnds, life, reach, rules }: Context): Item {
  const endOf = (l: Listing) => windowEnds[l.market] ?? l.capturedOn
  const group = known.map((k) => k.listing)
  const rows = known.map((k) => memberOf(k, endOf(k.listing), rules))
  const stated = statedBy(group)
  // named one by one: a second spread would make a million items a shape of their own each
  const { key, title, kind, pack, packFrom } = identityOf(group)
  const withUnits = rows.filter((r) => r.units !== null)
  const units = withUnits.length === 0 ? null : unitsOf(withUnits)
  // Whether a listing sold at all is known of published figures alone: an estimate is never nought.
  const counted = withUnits.filter((r) => r.unpublished === null)
  const prices = rows.flatMap((r) => r.priceE4 ?? [])
  const series = addSeries(rows.flatMap((r) => r.series ?? []))
  const earning = withUnits.filter((r) => r.priceE4 !== null)
  return {
    key,
    title,
    ...stated,
    kind,
    pack,
    packFrom,
    commission: stated.commission ?? reach.clipCommission,
    creators: stated.creators ?? reach.clipCreators,
    listings: rows,
    markets: [...new Set(rows.map((r) => r.market))].sort(),
    sellers: new Set(rows.map((r) => `${r.market}/${r.store ?? r.key}`)).size,
    priceLowE4: prices.length ? Math.min(...prices) : null,
    priceHighE4: prices.length ? Math.max(...prices) : null,
    windowEnd: Math.max(...group.map(endOf)),
    units,
    unitsGrade: withUnits.length ? worstGrade(withUnits.map((r) => r.grade as NonNullable<typeof r.grade>)) : null,
    unitsKnown: counted.length,
    revenueE4: earning.length
      ? earning.reduce((sum, r) => sum + Math.round((r.units as number) * (r.priceE4 as number)), 0)
      : null,
    sellThrough: wilsonInterval(counted.filter((r) => (r.units as number) > 0).length, counted.length),
    unitsPerListing: counted.length === 0 ? null : unitsOf(counted) / counted.length,
    reach,
    clearing: reach.clearing ?? 'unknown',
    series,
    life,
    stage: life?.stage ?? 'Unclear',
    room: roomOf(salesBySeller(rows)),
    offers: [],
    offer: null,
    choice: nothingChosen,
    offerPack: 1,
    landedE4: null,
    profits: [],
    best: null,
    worth: { value: null, coverage: 0, failed: [], lacking: [], parts: [] },
  }
}

/** What an item is, by all of its listings: whatever figures are of a part of them, it stays. */
export function identityOf(
  listings: readonly Listing[],
): Pick<Item, 'key' | 'title' | 'kind' | 'gtin' | 'brand' | 'picture' | 'pack' | 'packFrom'> {
  const first = <V>(of: (l: Listing) => V | null) => listings.map(of).find((v) => v !== null) ?? null
  const title = clearestTitle(listings.map((l) => l.title ?? l.id))
  const pack = findPackCount(title)
  return {
    key: (listings[0] as Listing).key,
    title,
    kind: goodsKind(first((l) => l.kind)),
    gtin: first((l) => l.gtin),
    brand: first((l) => l.brand),
    picture: first((l) => l.picture),
    pack: pack?.count ?? 1,
    packFrom: pack?.from ?? null,
  }
}

function unitsOf(rows: readonly MemberListing[]): number {
  return rows.flatMap((r) => r.units ?? []).reduce((a, b) => a + b, 0)
}

function memberOf({ listing: l, series, unpublished }: KnownListing, end: number, rules: SellerRules): MemberListing {
  const home = toHome(l.currency, rules)
  const known = unitsInWindow(l, series, end)
  const priceE4 = home(l.price)
  const deliveryE4 = home(l.delivery)
  return {
    key: l.key,
    market: l.market,
    id: l.id,
    title: l.title ?? l.id,
    gtin: l.gtin,
    store: l.store,
    priceE4,
    deliveryE4,
    deliveredE4: priceE4 === null ? null : priceE4 + (deliveryE4 ?? 0),
    isDeliveryKnown: deliveryE4 !== null,
    original: l.price === null || l.currency === null ? null : { priceE4: l.price, currency: l.currency },
    units: known?.units ?? unpublished?.units ?? null,
    grade: known?.grade ?? (unpublished ? 'estimated' : null),
    unpublished: known ? null : unpublished,
    rating: l.rating,
    reviews: l.reviews,
    listedOn: l.listedOn,
    tags: l.tags,
    url: webAddress(l.url),
    series,
    capturedOn: l.capturedOn,
  }
}

/** Of a seller of whose listings none is known, null. */
function salesBySeller(rows: MemberListing[]): (number | null)[] {
  const sums = new Map<string, number | null>()
  for (const r of rows) {
    const seller = `${r.market}/${r.store ?? r.key}`
    const before = sums.get(seller) ?? null
    sums.set(seller, r.units === null ? before : (before ?? 0) + r.units)
  }
  return [...sums.values()]
}
