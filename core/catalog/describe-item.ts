import { addSeries, wilsonInterval, type StageOfLife, type UnitSeries } from '../demand'
import { findPackCount } from '../goods'
import { roomOf } from '../room'
import { nothingChosen } from '../supply'
import { firstSaid } from './first-said'
import { worstGrade } from './grade'
import type { Item, MemberListing } from './item'
import type { Reach } from './item-reach'
import { toHome } from './home-amount'
import { listingKey, type Listing } from './listing'
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
  const group = known.map((k) => k.listing)
  const ends = group.map((l) => windowEnds[l.market] ?? l.capturedOn)
  const rows = known.map((k, i) => memberOf(k, ends[i] as number, rules))
  const stated = statedBy(group)
  // named one by one: a second spread would make a million items a shape of their own each
  const { key, title, kind, pack, packFrom } = namedBy(
    group,
    rows.map((r) => r.title),
  )
  const withUnits = rows.filter((r) => r.units !== null)
  const units = withUnits.length === 0 ? null : unitsOf(withUnits)
  // Whether a listing sold at all is known of published figures alone: an estimate is never nought.
  const counted = withUnits.filter((r) => r.unpublished === null)
  const prices = stating(rows.map((r) => r.priceE4))
  const series = addSeries(stating(rows.map((r) => r.series)))
  const bySeller = salesBySeller(rows)
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
    sellers: bySeller.length,
    priceLowE4: prices.length ? Math.min(...prices) : null,
    priceHighE4: prices.length ? Math.max(...prices) : null,
    windowEnd: Math.max(...ends),
    units,
    unitsGrade: withUnits.length ? worstGrade(stating(withUnits.map((r) => r.grade))) : null,
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
    room: roomOf(bySeller),
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

/** Those of some values that are known. */
const stating = <V>(values: readonly (V | null)[]): V[] => values.filter((v) => v !== null)

/** What an item is, by all of its listings: whatever figures are of a part of them, it stays. */
export function identityOf(
  listings: readonly Listing[],
): Pick<Item, 'key' | 'title' | 'kind' | 'gtin' | 'brand' | 'picture' | 'pack' | 'packFrom'> {
  return {
    ...namedBy(listings, listings.map(titleOf)),
    gtin: firstSaid(listings, (l) => l.gtin),
    brand: firstSaid(listings, (l) => l.brand),
    picture: firstSaid(listings, (l) => l.picture),
  }
}

/** What an item is called, and what that says of it. @param titles of its listings, which are read once */
function namedBy(
  listings: readonly Listing[],
  titles: readonly string[],
): Pick<Item, 'key' | 'title' | 'kind' | 'pack' | 'packFrom'> {
  const title = clearestTitle(titles)
  const pack = findPackCount(title)
  return {
    key: (listings[0] as Listing).key,
    title,
    kind: goodsKind(firstSaid(listings, (l) => l.kind)),
    pack: pack?.count ?? 1,
    packFrom: pack?.from ?? null,
  }
}

const titleOf = (l: Listing): string => l.title ?? l.id

function unitsOf(rows: readonly MemberListing[]): number {
  return rows.reduce((sum, r) => sum + (r.units ?? 0), 0)
}

function memberOf({ listing: l, series, unpublished }: KnownListing, end: number, rules: SellerRules): MemberListing {
  const home = toHome(l.currency, rules)
  const known = unitsInWindow(l, series, end)
  const priceE4 = home(l.price)
  const deliveryE4 = home(l.delivery)
  const { market, id } = l
  return {
    key: listingKey(market, id),
    market,
    id,
    title: l.title ?? id,
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
