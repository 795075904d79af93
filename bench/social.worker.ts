import { ItemMaker, lensOn, noCorrections, plainRules, type Catalog, type Lens } from '@sickle/core/catalog'
import { emptyQuery, Finder, makeFigures, renewFigures } from '@sickle/core/engine'
import { titleForms } from '@sickle/core/goods'
import {
  AdList,
  allAds,
  allClips,
  ClipList,
  clipSums,
  earnsMore,
  groupAds,
  whatSells,
  type Ad,
  type Clip,
} from '@sickle/core/social'
import { TableBuilder } from '@sickle/core/tables'
import { randomOf } from './million'

/** What is posted and advertised at large sizes, and a lens over many listings, in a worker of the browser: times in ms. */
const random = randomOf(29)
const whole = (to: number) => Math.floor(to * random())

const clips = Array.from({ length: 100_000 }, (_, i): Clip => ({
  key: `Loopreel/${i}`,
  market: 'Loopreel',
  listing: `Loopreel/${whole(20_000)}`,
  creator: `@c${whole(4_000)}`,
  title: `Opening ${whole(300)} of a clip`,
  day: 20_000 - whole(300),
  isLive: random() < 0.1,
  views: Math.floor(200 / (1 - random())),
  likes: whole(500),
  comments: whole(50),
  shares: null,
  length: 5 + whole(90),
  hour: whole(24),
  units: random() < 0.3 ? 0 : Math.floor(2 / (1 - random())),
  revenueE4: whole(5_000_000),
  commission: 0.15,
  isPaid: random() < 0.3,
  url: null,
}))
const ads = Array.from({ length: 50_000 }, (_, i): Ad => {
  const first = 19_700 + whole(290)
  const views = whole(90_000)
  return {
    key: `Openstall/${i}`,
    market: 'Openstall',
    listing: `Openstall/${whole(9_000)}`,
    advertiser: `Shop ${whole(2_500)}`,
    channel: `board ${whole(6)}`,
    medium: 'picture',
    language: 'English',
    country: ['IE', 'PT', 'NL'][whole(3)] ?? null,
    title: `Thing ${String.fromCharCode(97 + whole(26))}${String.fromCharCode(97 + whole(26))} for your balcony: order now`,
    text: `Made to last number ${whole(9)}`,
    picture: null,
    url: null,
    firstSeen: first,
    lastSeen: first + whole(90),
    views,
    reactions: Math.floor(views / 50),
    looks: [{ day: first + 5, views }],
  }
})

function times(rounds: number, work: (round: number) => unknown): number[] {
  return Array.from({ length: rounds }, (_, round) => {
    const start = performance.now()
    work(round)
    return performance.now() - start
  })
}

const count = 400_000

/** Listings without days on two markets, two to an item, a fifth of the items on both. */
function catalog(): Catalog {
  const builder = new TableBuilder([
    ...['market', 'id', 'title', 'store', 'category', 'currency'].map((name) => ({ name, type: 'text' as const })),
    ...['price', 'units', 'unitsDay', 'rating', 'reviews', 'capturedOn'].map((name) => ({
      name,
      type: 'number' as const,
    })),
  ])
  for (let i = 0; i < count; i++) {
    const isFar = (i >> 1) % 2 === 0
    builder.add({
      market: (i >> 1) % 5 === 0 ? (i % 2 ? 'Farholt' : 'Nearholt') : isFar ? 'Farholt' : 'Nearholt',
      id: String(i),
      title: `Railing planter no ${i >> 1}`,
      store: `Store ${i % 900}`,
      category: i % 4 ? 'Garden / Balcony' : 'Garden / Birds',
      currency: 'EUR',
      price: 100_000 + whole(900_000),
      units: whole(300),
      unitsDay: 20_000,
      rating: 4,
      reviews: i % 400,
      capturedOn: 20_000,
    })
  }
  const items = count / 2
  const none = { rows: items, columns: {} }
  return {
    listings: builder.finish(),
    sales: {
      seriesOf: new Int32Array(count).fill(-1),
      start: new Int32Array(0),
      stepDays: new Int32Array(0),
      from: new Int32Array(1),
      values: new Float64Array(0),
    },
    itemOf: Int32Array.from({ length: count }, (_, i) => i >> 1),
    starts: Int32Array.from({ length: items + 1 }, (_, i) => 2 * i),
    members: Int32Array.from({ length: count }, (_, i) => i),
    life: none,
    reach: none,
    unpublished: { rows: 0, columns: {} },
    windowEnds: { Farholt: 20_000, Nearholt: 20_000 },
    offers: [],
    forms: titleForms([]),
    groupOf: new Int32Array(count),
    lessons: [],
    seasons: new Map(),
  }
}

async function lensTimes() {
  const bare = catalog()
  // what is recorded of all markets together, as a catalog has it
  const { life, reach } = await lensOn(bare, Object.keys(bare.windowEnds), [])
  const whole = new ItemMaker({ ...bare, life, reach }, plainRules('EUR'), noCorrections)
  const figures = await makeFigures(whole)
  const began = performance.now()
  const lens: Lens = await lensOn(whole.catalog, ['Farholt'], [])
  const maker = new ItemMaker(whole.catalog, whole.rules, noCorrections, whole, lens)
  const seen = await renewFigures(figures, maker, lens.sameAs, { haveDaysPassed: false })
  const lensed = performance.now() - began
  const finder = new Finder(() => ({ listings: whole.catalog.listings, itemOf: lens.itemOf }), seen, {
    isSeen: (i) => maker.isSeen(i),
  })
  for (const _ of finder.prepare()) void _
  const moved = times(60, (i) => finder.ask({ ...emptyQuery, limits: { price: [10 + i / 4, 70] } }))
  return { lensed, moved, items: finder.ask(emptyQuery).total }
}

async function run(): Promise<void> {
  const list = new ClipList(clips)
  const askClips = (round: number) => {
    const found = list.ask({ ...allClips, limits: { views: [100 + 50 * round, null] } })
    return [clipSums(list.columns, found), whatSells(list.columns, found), earnsMore(list.columns, found)]
  }
  askClips(0)
  const clipTimes = times(40, askClips)
  const [grouping] = times(1, () => groupAds(ads))
  const adList = new AdList(groupAds(ads))
  adList.ask(allAds)
  const adTimes = times(40, (round) => adList.ask({ ...allAds, limits: { days: [round, null] } }))
  self.postMessage({ clipTimes, adTimes, grouping, ...(await lensTimes()) })
}

void run()
