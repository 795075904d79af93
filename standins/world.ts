import { dayOfIso } from '@sickle/core/identity'
import { demandFactor } from './demand-curve'
import { makeGoods, shuffled } from './goods'
import { storeNames, supplierNames } from './names'
import { chance, type Chance } from './random'
import type { Goods, Market, StandinListing, StandinOffer, Store, SupplierFacts } from './things'
import { demoMake } from './makes/demo'
import type { WorldMake } from './makes/world-make'

export const markets: readonly Market[] = [
  { name: 'Marrowgate', currency: 'EUR', rate: 1, kinds: ['physical'], weight: 5, weekly: false },
  { name: 'Gavelhop', currency: 'GBP', rate: 0.86, kinds: ['physical'], weight: 3, weekly: false },
  { name: 'Fernhand', currency: 'EUR', rate: 1, kinds: ['print on demand', 'digital'], weight: 3.4, weekly: false },
  { name: 'Loopreel', currency: 'USD', rate: 1.09, kinds: ['physical', 'print on demand'], weight: 2, weekly: false },
  {
    name: 'Openstall',
    currency: 'EUR',
    rate: 1,
    kinds: ['physical', 'print on demand', 'digital'],
    weight: 2,
    weekly: true,
  },
]

/** The made-up world with its truth. */
export interface World {
  firstDay: number
  days: number
  goods: Goods[]
  stores: Store[]
  listings: StandinListing[]
  offers: StandinOffer[]
  make: WorldMake
}

export interface WorldSize {
  seed?: number
  goods?: number
  listings?: number
  stores?: number
  offers?: number
  days?: number
  /** ISO day of the last figures */
  lastDay?: string
  make?: WorldMake
}

/** Makes a world: the same size and seed give the same world. */
export function makeWorld(size: WorldSize = {}): World {
  const {
    seed = 20260531,
    goods: goodsCount = 1500,
    listings: listingCount = 6200,
    stores: storeCount = 300,
    offers: offerCount = 900,
    days = 180,
    lastDay = '2026-05-31',
    make = demoMake,
  } = size
  const random = chance(seed)
  const firstDay = (dayOfIso(lastDay) ?? 0) - days + 1
  const goods = makeGoods(goodsCount, random, make)
  const stores = makeStores(storeCount, firstDay + days, random)
  const listings = makeListings(goods, stores, listingCount, { firstDay, days, make }, random)
  return {
    firstDay,
    days,
    goods,
    stores,
    listings,
    offers: makeOffers(goods, { count: offerCount, today: firstDay + days, make }, random),
    make,
  }
}

function makeStores(count: number, today: number, random: Chance): Store[] {
  return storeNames(count, random).map((name, i) => ({
    name,
    market: markets[i % markets.length] as Market,
    since: today - random.whole(60, 2400),
    pull: Math.exp(0.7 * random.normal()),
    priceFactor: Math.exp(0.09 * random.normal()),
  }))
}

function makeListings(goods: Goods[], stores: Store[], count: number, span: Span, random: Chance): StandinListing[] {
  const listings: StandinListing[] = []
  const wanted = goods.map((g) =>
    Math.max(1, Math.round(Math.exp(0.55 + 0.33 * Math.log(g.demand + 0.2) + 0.55 * random.normal()))),
  )
  const scale = count / wanted.reduce((a, b) => a + b, 0)
  goods.forEach((g, i) => {
    const fitting = stores.filter((s) => s.market.kinds.includes(g.archetype.kind))
    const weights = fitting.map((s) => s.pull * s.market.weight)
    const sellers = new Set<Store>()
    const n = Math.max(1, Math.floor((wanted[i] as number) * scale + random.next()))
    while (sellers.size < n) sellers.add(weighted(fitting, weights, random))
    listings.push(...listingsOf(g, [...sellers], listings.length, span, random))
  })
  return listings
}

function listingsOf(g: Goods, sellers: Store[], from: number, span: Span, random: Chance): StandinListing[] {
  const pulls = sellers.map(
    (s) => s.pull * Math.exp(0.6 * random.normal()) * (random.happens(span.make.selling.dead) ? 0 : 1),
  )
  const total = pulls.reduce((a, b) => a + b, 0) || 1
  return sellers.map((store, i) => {
    const rate = (g.demand * (pulls[i] as number)) / total
    const id = listingId(store.market, from + i)
    return makeListing(g, { store, id, rate, ...span, ages: agesOf(g) }, random)
  })
}

/** Numbers of listings: all different, and of one market by their first digit. */
export function listingId({ name }: Market, at: number): string {
  return String((name.charCodeAt(0) % 9) + 1) + String(1000000 + at * 13)
}

const agesOf = (g: Goods): [number, number] => (g.stage === 'Sprouting' ? [10, 45] : [190, 1300])

export interface ListingMake {
  store: Store
  id: string
  /** units a day that it sells of itself, before season, weekday and stage */
  rate: number
  firstDay: number
  days: number
  /** youngest and oldest it may be, days */
  ages: [number, number]
  make: WorldMake
}
type Span = Pick<ListingMake, 'firstDay' | 'days' | 'make'>

/** One listing of some goods in a store, with the days it sold on. */
export function makeListing(
  g: Goods,
  { store, id, rate, firstDay, days, ages, make }: ListingMake,
  random: Chance,
): StandinListing {
  const daily = dailyUnits(g, rate, { firstDay, days, make }, random)
  const sold = daily.reduce<number>((a, b) => a + (b ?? 0), 0)
  const age = random.whole(...ages)
  const { currency, rate: exchange } = store.market
  const digital = g.archetype.kind === 'digital'
  const unitsTotal = sold + Math.round(rate * Math.max(0, age - days) * 0.7)
  return {
    id,
    goods: g,
    store,
    title: make.writing.title(g, random),
    price: neat(g.price * store.priceFactor * exchange * Math.exp(0.07 * random.normal()), random),
    delivery: digital ? 0 : random.pick(currency === 'GBP' ? [0, 0, 2.95, 3.5] : [0, 0, 2.95, 3.95, 4.5]),
    listedOn: firstDay + days - age,
    rating: random.happens(0.1)
      ? null
      : Math.max(1, Math.min(5, Math.round((4.35 + 0.45 * random.normal()) * 10) / 10)),
    reviews: Math.round(unitsTotal * random.between(0.08, 0.3)),
    unitsTotal,
    tags: tagsOf(g, random),
    daily,
  }
}

/** Units around the expected course; a few stretches that nobody counted. */
function dailyUnits(g: Goods, rate: number, { firstDay, days, make }: Span, random: Chance): (number | null)[] {
  const expected = (d: number) => rate * demandFactor(g, firstDay + d, firstDay, days)
  const units: (number | null)[] = make.selling.days(expected, days, random)
  if (random.happens(0.12)) {
    const at = random.whole(10, days - 60)
    units.fill(null, at, at + random.whole(2, 9))
  }
  return units
}

/** Most have traded for years; one in five is new, and one in seven says nothing of itself. */
function supplierFacts(names: readonly string[], today: number): SupplierFacts[] {
  const random = chance(names.length)
  return names.map((name) => {
    const [isNew, isSilent] = [random.happens(0.2), random.happens(1 / 7)]
    const since = today - (isNew ? random.whole(200, 1300) : random.whole(1600, 5200))
    const goodReviews = random.whole(isNew ? 0 : 12, isNew ? 25 : 900)
    return isSilent ? { name, since: null, goodReviews: null } : { name, since, goodReviews }
  })
}

function makeOffers(
  goods: Goods[],
  { count, today, make: { writing } }: { count: number; today: number; make: WorldMake },
  random: Chance,
): StandinOffer[] {
  const suppliers = supplierFacts(supplierNames(14, random), today)
  const made = shuffled(
    goods.filter((g) => g.archetype.kind !== 'digital'),
    random,
  )
  const offered = made.slice(0, Math.ceil(made.length * 0.62))
  return Array.from({ length: count }, (_, i) => {
    // Of most goods one or two offers; a third of all goods nobody in the hub supplies.
    const g = offered[i % offered.length] as Goods
    const printed = g.archetype.kind === 'print on demand'
    const pack =
      printed || random.happens(0.62)
        ? g.pack
        : g.pack > 1
          ? random.happens(0.6)
            ? 1
            : g.pack * 2
          : random.pick([1, 1, 5, 10])
    const near = random.happens(0.3)
    const price = Math.max(0.1, g.pieceCost * pack * 1.09 * Math.exp(0.1 * random.normal()) * (near ? 1.25 : 1))
    const cents = (x: number) => Math.round(x * 100) / 100
    const text = writing.title({ ...g, pack: 1 }, random, 0.7)
    const words = writing.pack(pack, random)
    const facts = random.pick(suppliers)
    return {
      id: `QM-${2000 + i * 3}`,
      supplier: facts.name,
      facts,
      sample: printed || i % 4 === 3 ? null : cents(price * 1.6 + 2),
      goods: g,
      title: words === null ? text : `${text} ${words}`,
      pack,
      prices: [cents(price), cents(price * 0.9), cents(price * 0.78)],
      minOrder: printed ? 1 : random.pick([1, 1, 1, 5, 10]),
      delivery: printed ? 3.9 : random.pick([0, 2.4, 4.8, 9.5]),
      lead: near
        ? random.pick(['3-5 days', '4 days', '2-4 days'])
        : random.pick(['7-10 days', '10-15 days', '12 days', '2-3 weeks']),
      shipsFrom: near ? random.pick(['IE', 'PL', 'NL', 'DE']) : random.pick(['CN', 'CN', 'VN', 'TR']),
      stock: random.whole(0, 9000),
      orders: Math.round(Math.exp(random.between(1, 8))),
      rating: Math.round(Math.max(2.5, Math.min(5, 4.4 + 0.35 * random.normal())) * 10) / 10,
    }
  })
}

function tagsOf(g: Goods, random: Chance): string[] {
  const pool = [
    'garden gift',
    'balcony',
    'bird lover',
    'small garden',
    g.archetype.noun,
    ...g.archetype.also,
    g.motif ?? 'outdoor',
    g.colour ?? 'eco',
    'new home gift',
    'birthday',
  ]
  return [...new Set(pool)].filter(() => random.happens(0.6)).slice(0, 13)
}

function weighted<T>(list: readonly T[], weights: readonly number[], random: Chance): T {
  let at = random.next() * weights.reduce((a, b) => a + b, 0)
  const found = list.find((_, i) => (at -= weights[i] as number) < 0)
  return found ?? (list.at(-1) as T)
}

/** Prices end as shops end them. */
function neat(price: number, random: Chance): number {
  const whole = Math.floor(price)
  const ending = random.pick([0.99, 0.95, 0.5, 0.9, 0.49, price - whole])
  return Math.max(0.79, Math.round((whole + ending) * 100) / 100)
}
