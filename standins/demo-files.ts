import { isoDay } from '@sickle/core/identity'
import { fernhand, gavelhop, loopreel, marrowgate, openstall } from './demo-listings'
import { dayInWords, delimited, lastDay, type Row } from './demo-rows'
import { blanksFile } from './demo-blanks'
import { hitDays, hitOffers, hitsFile } from './demo-hits'
import { adFile, clipFile } from './demo-social'
import { termRows } from './demo-terms'
import { feedbackOf, hidesSales } from './observables'
import { pictureName } from './pictures'
import { demoWorld, farStoreList, shopList } from './demo-stores'
import { mayListFile } from './demo-may-list'
import { ownFile } from './demo-own'
import type { World } from './world'
import { chance } from './random'
import type { StandinListing, StandinOffer } from './things'

/** A demo file before it is put into bytes; `rows` become a spreadsheet. */
export interface DemoFile {
  name: string
  label: string
  /** what only a seller could say about the file */
  answers: { market?: string; supplier?: string; currency?: string }
  content: string | { sheet: string; rows: (string | number | null)[][] }
  encoding: 'utf-8' | 'windows-1252'
}

/** The demo as files in open formats, each market in a form of its own, as markets are. */
export function demoFiles(world: World = demoWorld()): DemoFile[] {
  const on = (market: string) => world.listings.filter((l) => l.store.market.name === market)
  return [
    text('marrowgate-listings.csv', 'Marrowgate, listings', marrowgate(on('Marrowgate'), world), {
      market: 'Marrowgate',
      currency: 'EUR',
    }),
    text('marrowgate-daily.csv', 'Marrowgate, daily units', wide(on('Marrowgate'), world, ','), {
      market: 'Marrowgate',
      currency: 'EUR',
    }),
    {
      ...text('gavelhop-listings.csv', 'Gavelhop, listings', gavelhop(on('Gavelhop'), world), {
        market: 'Gavelhop',
        currency: 'GBP',
      }),
      encoding: 'windows-1252',
    },
    text('gavelhop-daily.csv', 'Gavelhop, daily units', wide(on('Gavelhop'), world, ';'), {
      market: 'Gavelhop',
      currency: 'GBP',
    }),
    text('fernhand-listings.json', 'Fernhand, listings', fernhand(on('Fernhand'), world), {
      market: 'Fernhand',
      currency: 'EUR',
    }),
    text('fernhand-daily.csv', 'Fernhand, daily units', wide(on('Fernhand'), world, '\t'), {
      market: 'Fernhand',
      currency: 'EUR',
    }),
    ...socialShop(on('Loopreel'), world),
    text('openstall-listings.csv', 'Openstall, listings', openstall(on('Openstall'), world), {
      market: 'Openstall',
      currency: 'EUR',
    }),
    text('openstall-weekly.csv', 'Openstall, weekly units', weekly(on('Openstall'), world), {
      market: 'Openstall',
      currency: 'EUR',
    }),
    text(
      'openstall-ads-before.csv',
      'Openstall, advertisements four weeks before',
      adFile(on('Openstall'), world, 28),
      {
        market: 'Openstall',
      },
    ),
    text('openstall-ads.csv', 'Openstall, advertisements', adFile(on('Openstall'), world), { market: 'Openstall' }),
    ...searchesAndSellers(world, on('Marrowgate')),
    quaymaster(world),
    text('saltings-blanks.csv', 'Saltings Print, blanks', blanksFile(), {
      supplier: 'Saltings Print',
      currency: 'EUR',
    }),
    ...storesAndMine(world),
  ]
}

/** The social shop, with its hits and what is posted about both. */
function socialShop(list: StandinListing[], world: World): DemoFile[] {
  const answers = { market: 'Loopreel', currency: 'USD' }
  return [
    text('loopreel-listings.ndjson', 'Loopreel, listings', loopreel(list, world), answers),
    text('loopreel-daily.csv', 'Loopreel, daily units', wide(list, world, ','), answers),
    text('loopreel-hits.csv', 'Loopreel, sold most this month', hitsFile(world), answers),
    text('loopreel-hits-daily.csv', 'Loopreel, days of those', hitDays(world), answers),
    text('loopreel-clips.csv', 'Loopreel, clips and lives', clipFile(list, world), answers),
  ]
}

function storesAndMine(world: World): DemoFile[] {
  return [
    ...['Gavelhop', 'Loopreel'].map((market) =>
      text(`${market.toLowerCase()}-shops.csv`, `${market}, shops`, shopList(world, market), { market }),
    ),
    text('marrowgate-may-list.csv', 'Marrowgate, what may be listed', mayListFile(world), { market: 'Marrowgate' }),
    text('farholt-shops.csv', 'Farholt, some shops', farStoreList(), { market: 'Farholt' }),
    text('harrow-quay-catalogue.csv', 'What Harrow Quay sells', ownFile(world), { currency: 'EUR' }),
  ]
}

function searchesAndSellers(world: World, marrowgate: World['listings']): DemoFile[] {
  return [
    ...['Marrowgate', 'Fernhand'].map((market) =>
      text(`${market.toLowerCase()}-searches.csv`, `${market}, searches`, searches(world, market), { market }),
    ),
    text('marrowgate-sellers.csv', 'Marrowgate, sellers by item', competing(marrowgate, world), {
      market: 'Marrowgate',
      currency: 'EUR',
    }),
  ]
}

function text(name: string, label: string, content: string, answers: DemoFile['answers']): DemoFile {
  return { name, label, content, answers, encoding: 'utf-8' }
}

/** Who else offers each item, under the number of its first listing. */
function competing(list: StandinListing[], world: World): string {
  const head = [
    'Item ID',
    'EAN',
    'Seller',
    'Offer price (EUR)',
    'Shipping',
    'Featured share',
    'Feedback 30 days',
    'Feedback 90 days',
    'Feedback 365 days',
    'Seller rating',
    'Seen on',
  ]
  const items = new Map<number, StandinListing[]>()
  for (const l of list) items.set(l.goods.id, [...(items.get(l.goods.id) ?? []), l])
  const rows = [...items.values()].flatMap((group) => {
    const shares = world.make.seen.featured(group)
    return group.map((l, i): Row => {
      const { days30, days90, days365 } = feedbackOf(l, world.make.seen)
      const share = `${((shares[i] as number) * 100).toFixed(0)}%`
      return [
        group[0]?.id ?? l.id,
        l.goods.gtin,
        l.store.name,
        l.price.toFixed(2),
        l.delivery.toFixed(2),
        share,
        days30,
        days90,
        days365,
        l.rating,
        lastDay(world),
      ]
    })
  })
  return delimited([head, ...rows], ',')
}

function searches(world: World, market: string): string {
  const head = ['Search phrase', 'Month', 'Region', 'Searches', 'Competing listings', 'Category']
  return delimited([head, ...termRows(world, market)], ',')
}

/** One row a listing, one column a day; empty where nobody counted. */
function wide(all: StandinListing[], world: World, delimiter: string): string {
  const list = all.filter((l) => !hidesSales(l))
  const days = Array.from({ length: world.days }, (_, d) => isoDay(world.firstDay + d))
  return delimited([['Listing ID', ...days], ...list.map((l): Row => [l.id, ...l.daily])], delimiter)
}

/** One row a listing and week; a week with a day that nobody counted is left out. */
function weekly(list: StandinListing[], world: World): string {
  const weeks = Math.floor(world.days / 7)
  const skip = world.days - weeks * 7
  const rows = list.flatMap((l) =>
    Array.from({ length: weeks }, (_, w): Row | null => {
      const part = l.daily.slice(skip + w * 7, skip + w * 7 + 7)
      return part.includes(null)
        ? null
        : [l.id, isoDay(world.firstDay + skip + w * 7), part.reduce<number>((a, b) => a + (b ?? 0), 0)]
    }).filter((r): r is Row => r !== null),
  )
  return delimited([['SKU', 'Week starting', 'Units'], ...rows], ',')
}

/** What a pack weighs and measures, by what it costs; one supplier in six does not say. Chance of its own: nothing else follows from it. */
function parcelOf({ id, goods, pack, facts }: StandinOffer): [number | null, string | null] {
  const random = chance(Number(id.slice(3)))
  if (facts.name.length % 6 === 0) return [null, null]
  const kg = Math.max(0.02, 0.11 * (goods.pieceCost * pack) ** 0.75 * Math.exp(0.25 * random.normal()))
  // most goods are lighter than their parcel is large
  const side = Math.cbrt(kg * 5000 * Math.exp(0.3 + 0.5 * random.normal()))
  const sides = [1.5, 1, 0.67].map((share) => Math.max(1, Math.round(side * share)))
  return [Math.round(kg * 100) / 100, sides.join(' x ')]
}

function quaymaster(world: World): DemoFile {
  const head = [
    'Offer ID',
    'Supplier',
    'Barcode',
    'Description',
    '1-9',
    '10-49',
    '50+',
    'Min. qty',
    'Delivery',
    'Lead time',
    'Ships from',
    'Weight (kg)',
    'Parcel size (cm)',
    'Stock',
    'Orders',
    'Rating',
    'Trading since',
    '5-star reviews',
    'Sample price',
    'Image',
  ]
  const rows = world.offers.map((o): Row => [
    o.id,
    o.supplier,
    o.pack === o.goods.pack && Number(o.id.slice(3)) % 5 > 1 ? o.goods.gtin : null,
    o.title,
    ...o.prices,
    o.minOrder,
    o.delivery,
    o.lead,
    o.shipsFrom,
    ...parcelOf(o),
    o.stock,
    o.orders,
    o.rating,
    o.facts.since === null ? null : isoDay(o.facts.since),
    o.facts.goodReviews,
    o.sample,
    `/demo/pictures/${pictureName(o.goods.archetype.shape, o.goods.colour)}`,
  ])
  return {
    name: 'quaymaster-prices.xlsx',
    label: 'Quaymaster, supplier prices',
    answers: { currency: 'USD' },
    content: {
      sheet: 'Prices',
      rows: [
        ['Quaymaster supplier hub, price list'],
        [`Prices in USD per unit, excluding delivery, valid on ${dayInWords(world)}`],
        [],
        head,
        ...rows,
        ...hitOffers(world),
      ],
    },
    encoding: 'utf-8',
  }
}
