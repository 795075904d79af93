import { addSeries, lastDayOf, stageOfLife, wilsonInterval, type UnitSeries } from '../demand'
import { findPackCount, joinListings, titleSignature } from '../goods'
import type { Capture } from '../intake'
import { divideRounded, findRate, roundToMinor } from '../money'
import { roomOf } from '../room'
import { mergeOffers, OfferFinder, type Offer } from '../supply'
import { worstGrade } from './grade'
import type { Item, MemberListing } from './item'
import { mergeListings, type Listing } from './merge-listings'
import { priceItem } from './price-item'
import { goodsKind, type Corrections, type SellerRules } from './rules'
import { salesSeries } from './sales-series'
import { unitsInWindow } from './units-in-window'

export interface Catalog {
  items: Item[]
  offers: Offer[]
  /** listing key → place in `items` */
  placeOf: Map<string, number>
  listings: number
}

export interface BuildOptions {
  onProgress?: (done: number) => void
}

/** Everything known, as items: listings of the same goods joined, their figures worked out, costed against the best offer. */
export function buildCatalog(
  captures: readonly Capture[],
  rules: SellerRules,
  corrections: Corrections,
  { onProgress }: BuildOptions = {},
): Catalog {
  const listings = mergeListings(captures)
  const series = salesSeries(captures)
  onProgress?.(0.3)
  const ends = windowEnds(listings, series)
  const itemOf = joinListings(listings)
  const members: number[][] = []
  itemOf.forEach((item, i) => (members[item] ??= []).push(i))
  onProgress?.(0.5)
  const offers = mergeOffers(captures)
  const finder = new OfferFinder(offers)
  const items = members.map((places, n) => {
    if (n % 500 === 0) onProgress?.(0.5 + (0.5 * n) / members.length)
    const group = places.map((i) => listings[i] as Listing)
    const rows = group.map((l) => memberOf(l, series.get(l.key) ?? null, ends.get(l.market) ?? l.capturedOn, rules))
    const item = describe(group, rows, Math.max(...group.map((l) => ends.get(l.market) ?? l.capturedOn)), corrections)
    item.offers = finder.find(titleSignature(item.title), item.gtin)
    return priceItem(item, rules, corrections)
  })
  const placeOf = new Map(items.flatMap((item, at) => item.listings.map((l) => [l.key, at] as const)))
  return { items, offers, placeOf, listings: listings.length }
}

/** Prices every item anew after a change of rules or corrections; the rest stays as it is. */
export function repriceCatalog(catalog: Catalog, rules: SellerRules, corrections: Corrections): Catalog {
  return { ...catalog, items: catalog.items.map((item) => priceItem(item, rules, corrections)) }
}

/** The last day each market's figures speak of: its windows end there. */
function windowEnds(listings: readonly Listing[], series: Map<string, UnitSeries>): Map<string, number> {
  const ends = new Map<string, number>()
  for (const l of listings) {
    const s = series.get(l.key)
    // Where a market has daily figures they say how far it is known; a list captured later does not add days.
    const day = s ? lastDayOf(s) : (l.unitsDay ?? l.capturedOn)
    ends.set(l.market, Math.max(ends.get(l.market) ?? -Infinity, day))
  }
  return ends
}

function memberOf(l: Listing, series: UnitSeries | null, end: number, rules: SellerRules): MemberListing {
  const rate = l.currency === null ? null : findRate(l.currency, rules.homeCurrency, rules.rates)
  const home = (e4: number | null) =>
    e4 === null || !rate ? null : roundToMinor(divideRounded(e4, Math.round(rate.rate * 1e8), 1e8), rules.homeCurrency)
  const known = unitsInWindow(l, series, end)
  const priceE4 = home(l.priceE4)
  const deliveryE4 = home(l.deliveryE4)
  return {
    key: l.key,
    market: l.market,
    id: l.id,
    title: l.title ?? l.id,
    store: l.store,
    priceE4,
    deliveryE4,
    deliveredE4: priceE4 === null ? null : priceE4 + (deliveryE4 ?? 0),
    original: l.priceE4 === null || l.currency === null ? null : { priceE4: l.priceE4, currency: l.currency },
    units: known?.units ?? null,
    grade: known?.grade ?? null,
    rating: l.rating,
    reviews: l.reviews,
    listedOn: l.listedOn,
    tags: l.tags,
    series,
    capturedOn: l.capturedOn,
  }
}

/** All that does not depend on money rules. */
function describe(group: Listing[], rows: MemberListing[], windowEnd: number, corrections: Corrections): Item {
  const first = group[0] as Listing
  const title = clearestTitle(rows.map((r) => r.title))
  const known = rows.filter((r) => r.units !== null)
  const units = known.length === 0 ? null : known.reduce((sum, r) => sum + (r.units as number), 0)
  const prices = rows.flatMap((r) => r.priceE4 ?? [])
  const series = addSeries(rows.flatMap((r) => r.series ?? []))
  const life = series ? stageOfLife(series) : null
  const pack = corrections.packs[first.key] ?? null
  const found = findPackCount(title)
  const earning = known.filter((r) => r.priceE4 !== null)
  return {
    key: first.key,
    title,
    kind: goodsKind(firstKnown(group, 'kind')),
    category: firstKnown(group, 'category'),
    gtin: firstKnown(group, 'gtin'),
    picture: firstKnown(group, 'picture'),
    pack: pack ?? found?.count ?? 1,
    packFrom: pack !== null ? 'set by you' : (found?.from ?? null),
    listings: rows,
    markets: [...new Set(rows.map((r) => r.market))].sort(),
    sellers: new Set(rows.map((r) => `${r.market}/${r.store ?? r.key}`)).size,
    priceLowE4: prices.length ? Math.min(...prices) : null,
    priceHighE4: prices.length ? Math.max(...prices) : null,
    windowEnd,
    units,
    unitsGrade: known.length ? worstGrade(known.map((r) => r.grade as NonNullable<typeof r.grade>)) : null,
    unitsKnown: known.length,
    revenueE4: earning.length
      ? earning.reduce((sum, r) => sum + Math.round((r.units as number) * (r.priceE4 as number)), 0)
      : null,
    sellThrough: wilsonInterval(known.filter((r) => (r.units as number) > 0).length, known.length),
    unitsPerListing: units === null ? null : units / known.length,
    ...ratingOf(rows),
    series,
    life,
    stage: life?.stage ?? 'Unclear',
    room: roomOf(salesBySeller(rows)),
    offers: [],
    offer: null,
    offerPack: 1,
    landedE4: null,
    profits: [],
    best: null,
    worth: { value: null, coverage: 0, failed: [], parts: [] },
  }
}

function firstKnown(group: Listing[], name: 'kind' | 'category' | 'gtin' | 'picture'): string | null {
  return group.find((l) => l[name] !== null)?.[name] ?? null
}

/** The most typical title: the one whose words most of the others have too; the shorter of equals. */
function clearestTitle(titles: string[]): string {
  const calm = titles.filter((t) => t !== t.toUpperCase())
  const list = calm.length > 0 ? calm : titles
  const split = list.map((t) => [...new Set(t.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? [])])
  const counts = new Map<string, number>()
  for (const words of split) for (const w of words) counts.set(w, (counts.get(w) ?? 0) + 1)
  const typical = (i: number) => mean((split[i] ?? []).map((w) => counts.get(w) as number))
  return list.reduce(
    (best, title, i) => (better(typical(i), title, typical(list.indexOf(best)), best) ? title : best),
    list[0] ?? '',
  )
}

function better(a: number, titleA: string, b: number, titleB: string): boolean {
  return a > b + 1e-9 || (Math.abs(a - b) <= 1e-9 && titleA.length < titleB.length)
}

function mean(list: number[]): number {
  return list.length === 0 ? 0 : list.reduce((x, y) => x + y, 0) / list.length
}

function ratingOf(rows: MemberListing[]): { rating: number | null; reviews: number | null } {
  const rated = rows.filter((r) => r.rating !== null)
  const weight = (r: MemberListing) => Math.max(1, r.reviews ?? 1)
  const total = rated.reduce((sum, r) => sum + weight(r), 0)
  const counted = rows.filter((r) => r.reviews !== null)
  return {
    rating: total === 0 ? null : rated.reduce((sum, r) => sum + (r.rating as number) * weight(r), 0) / total,
    reviews: counted.length ? counted.reduce((sum, r) => sum + (r.reviews as number), 0) : null,
  }
}

function salesBySeller(rows: MemberListing[]): number[] {
  const sums = new Map<string, number>()
  for (const r of rows) {
    const seller = `${r.market}/${r.store ?? r.key}`
    sums.set(seller, (sums.get(seller) ?? 0) + (r.units ?? 0))
  }
  return [...sums.values()]
}
