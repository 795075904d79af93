import { isoDay } from '@sickle/core/identity'
import { delimited, units30, type Row } from './demo-rows'
import { ownCatalogue } from './demo-own'
import { FarMarket } from './far-market'
import { shuffled } from './goods'
import { countryOf } from './observables'
import { chance, type Chance } from './random'
import { listingId, makeListing, makeWorld, markets, type World } from './world'
import type { Goods, StandinListing, Store } from './things'

/** A store of the demo that has something to be found out about it. */
export interface StoreStory {
  name: string
  market: string
  /** what is true of it, in a sentence */
  truth: string
  ageDays: number
  listings: number
  /** units a day over all its listings */
  perDay: number
  /** how unevenly they sell: spread of the log of their rates */
  spread: number
  /** youngest and oldest of its listings, days */
  ages: [number, number]
  goods: (world: World, random: Chance) => Goods[]
  /** audience or occasion of each listing, of which its titles are written */
  themes?: readonly string[]
  /** days since which nothing sold */
  stoppedDays?: number
  /** share of all units that its first listing makes */
  first?: number
}

const physical = (world: World, random: Chance) =>
  shuffled(
    world.goods.filter((g) => g.archetype.kind === 'physical' && g.stage !== 'Flash'),
    random,
  )
const printed = (world: World, random: Chance) =>
  shuffled(
    world.goods.filter((g) => g.archetype.kind === 'print on demand'),
    random,
  )

/** Most of Harrow Quay's physical goods, and some that it does not have. */
function nearlyMine(world: World, random: Chance): Goods[] {
  const mine = new Set(ownCatalogue(world).map((o) => o.goods))
  const all = physical(world, random)
  return [...all.filter((g) => mine.has(g)).slice(0, 300), ...all.filter((g) => !mine.has(g)).slice(0, 60)]
}

export const themes = [
  'retired teacher gift',
  'allotment society prize',
  'first balcony flat',
  'grandad birdwatcher',
  'school garden club',
] as const

export const storeStories: readonly StoreStory[] = [
  {
    name: 'Sprig & Rail',
    market: 'Marrowgate',
    truth: 'young and fast: more than 10,000 sold in 14 months',
    ageDays: 425,
    listings: 360,
    perDay: 85,
    spread: 1.5,
    ages: [8, 420],
    goods: physical,
  },
  {
    name: 'Old Gate Sundries',
    market: 'Marrowgate',
    truth: 'old and broad: much sold over nine years, little of each',
    ageDays: 3300,
    listings: 520,
    perDay: 26,
    spread: 1.5,
    ages: [220, 3200],
    goods: physical,
  },
  {
    name: "Robin's Larder",
    market: 'Gavelhop',
    truth: 'lives off one listing',
    ageDays: 900,
    listings: 24,
    perDay: 20,
    spread: 0.6,
    ages: [190, 800],
    goods: physical,
    first: 0.85,
  },
  {
    name: 'Feather Almanac',
    market: 'Fernhand',
    truth: 'a specialist: five themes of gifts, each for somebody',
    ageDays: 700,
    listings: 160,
    perDay: 24,
    spread: 1.2,
    ages: [20, 690],
    goods: printed,
    themes,
  },
  {
    name: 'Harbour Wall Post',
    market: 'Marrowgate',
    truth: 'a near twin of Harrow Quay: five of six of its goods are mine too',
    ageDays: 900,
    listings: 360,
    perDay: 30,
    spread: 1.45,
    ages: [60, 880],
    goods: nearlyMine,
  },
  {
    name: 'Lantern & Reed',
    market: 'Gavelhop',
    truth: 'sold steadily, and nothing for 45 days',
    ageDays: 1100,
    listings: 60,
    perDay: 24,
    spread: 0.8,
    ages: [200, 1000],
    goods: physical,
    stoppedDays: 45,
  },
]

/** The demo: the made-up world with the stores that have stories. */
export function demoWorld(world: World = makeWorld()): World {
  const stores: Store[] = []
  const listings: StandinListing[] = [...world.listings]
  storeStories.forEach((story, i) => {
    const random = chance(71_000 + i)
    const store = storeOf(story, world)
    stores.push(store)
    listings.push(...listingsOf(story, store, { ...world, listings }, random))
  })
  return { ...world, stores: [...world.stores, ...stores], listings }
}

function storeOf({ name, market, ageDays }: StoreStory, { firstDay, days }: World): Store {
  const at = markets.find((m) => m.name === market)
  if (!at) throw new Error(`no market is called ${market}`)
  return { name, market: at, since: firstDay + days - ageDays, pull: 1, priceFactor: 1 }
}

function listingsOf(story: StoreStory, store: Store, world: World, random: Chance): StandinListing[] {
  const goods = story.goods(world, random).slice(0, story.listings)
  const pulls = goods.map(() => Math.exp(story.spread * random.normal()))
  const total = pulls.reduce((a, b) => a + b, 0)
  const rateOf = (i: number) => {
    const share = (pulls[i] as number) / total
    if (story.first === undefined) return story.perDay * share
    return story.perDay * (i === 0 ? story.first : (1 - story.first) * share)
  }
  return goods.map((g, i) => {
    const id = listingId(store.market, world.listings.length + i)
    const { firstDay, days, make } = world
    const own = steady(g, story, i)
    const made = makeListing(own, { store, id, rate: rateOf(i), firstDay, days, make, ages: story.ages }, random)
    return withTheme(upSince(made, story, world), story, i)
  })
}

/** Goods of its own, where it makes its own designs; else as they are, without a course of their own. */
function steady(g: Goods, { themes: own }: StoreStory, i: number): Goods {
  return own ? { ...g, id: 100_000 + i, gtin: null, stage: 'Ripe' } : { ...g, stage: 'Ripe' }
}

/** Nothing sold before a listing was up, nor since its store stopped. */
function upSince(l: StandinListing, { stoppedDays = 0 }: StoreStory, { firstDay, days }: World): StandinListing {
  const before = l.unitsTotal - l.daily.reduce<number>((a, b) => a + (b ?? 0), 0)
  const daily = l.daily.map((n, d) => {
    if (firstDay + d < l.listedOn) return null
    return d >= days - stoppedDays && n !== null ? 0 : n
  })
  return { ...l, daily, unitsTotal: before + daily.reduce<number>((a, b) => a + (b ?? 0), 0) }
}

function withTheme(l: StandinListing, { themes: own }: StoreStory, i: number): StandinListing {
  if (!own) return l
  const theme = own[i % own.length] as string
  return { ...l, title: `${l.title}, ${theme}`, tags: [...l.tags.slice(0, 11), theme] }
}

/** Lists of stores, as two markets that say little of a store beside its listings give them out. */
export function shopList(world: World, market: string): string {
  const head = [
    'Shop',
    'Trading since',
    'Country',
    'Sales',
    'Sold last 30 days',
    'Live listings',
    'Feedback',
    'Positive',
  ]
  const rows = storesOn(world, market).map(({ store, list }): Row => {
    const random = chance(seedOf(store.name))
    const live = list.reduce((sum, l) => sum + l.unitsTotal, 0)
    // what ended since it opened sold too
    const sales = Math.round(live * random.between(1.05, 1.4))
    return [
      store.name,
      isoDay(store.since),
      countryOf(store.name),
      sales,
      list.reduce((sum, l) => sum + units30(l), 0),
      list.length,
      Math.round(sales * world.make.seen.leaveRate(store.name)),
      `${(random.between(0.93, 1) * 100).toFixed(1)}%`,
    ]
  })
  return delimited([head, ...rows], ',')
}

function storesOn(world: World, market: string): { store: Store; list: StandinListing[] }[] {
  const lists = new Map<Store, StandinListing[]>()
  for (const l of world.listings)
    if (l.store.market.name === market) lists.set(l.store, [...(lists.get(l.store) ?? []), l])
  return [...lists].map(([store, list]) => ({ store, list }))
}

const seedOf = (text: string) => [...text].reduce((sum, c) => (sum * 33 + c.charCodeAt(0)) >>> 0, 11)

/** Some stores of the far market that only a list speaks of: each can be scanned whole. */
export function farStoreList(far: FarMarket = new FarMarket({ size: 60_000 }), some = 6): string {
  const head = ['Shop', 'Trading since', 'Sales', 'Sold last 30 days', 'Live listings', 'Feedback']
  const rows = far.stores.slice(0, some).map((name, i): Row => {
    const list = far.ofStore(name).map((k) => far.listing(k))
    const sum = (of: (l: (typeof list)[number]) => number) => list.reduce((s, l) => s + of(l), 0)
    const sales = sum((l) => l.unitsTotal)
    const oldest = list.reduce((first, l) => (l.listedOn < first ? l.listedOn : first), '9999')
    return [name, oldest, sales, sum((l) => l.units30), list.length, Math.round(sales * (0.4 + 0.05 * i))]
  })
  return delimited([head, ...rows], ',')
}
