import { isoDay } from '@sickle/core/identity'
import { termRows } from './demo-terms'
import { choicesOf, featuredShares, feedbackOf } from './observables'
import { pictureName } from './pictures'
import { makeWorld, type StandinListing, type World } from './world'

/** A demo file before it is put into bytes; `rows` become a spreadsheet. */
export interface DemoFile {
  name: string
  label: string
  /** what only a seller could say about the file */
  answers: { market?: string; supplier?: string; currency?: string }
  content: string | { sheet: string; rows: (string | number | null)[][] }
  encoding: 'utf-8' | 'windows-1252'
}

type Row = (string | number | null)[]

/** The demo as files in open formats, each market in a form of its own, as markets are. */
export function demoFiles(world: World = makeWorld()): DemoFile[] {
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
    text('loopreel-listings.ndjson', 'Loopreel, listings', loopreel(on('Loopreel'), world), {
      market: 'Loopreel',
      currency: 'USD',
    }),
    text('loopreel-daily.csv', 'Loopreel, daily units', wide(on('Loopreel'), world, ','), {
      market: 'Loopreel',
      currency: 'USD',
    }),
    text('openstall-listings.csv', 'Openstall, listings', openstall(on('Openstall'), world), {
      market: 'Openstall',
      currency: 'EUR',
    }),
    text('openstall-weekly.csv', 'Openstall, weekly units', weekly(on('Openstall'), world), {
      market: 'Openstall',
      currency: 'EUR',
    }),
    ...['Marrowgate', 'Fernhand'].map((market) =>
      text(`${market.toLowerCase()}-searches.csv`, `${market}, searches`, searches(world, market), { market }),
    ),
    text('marrowgate-sellers.csv', 'Marrowgate, sellers by item', competing(on('Marrowgate'), world), {
      market: 'Marrowgate',
      currency: 'EUR',
    }),
    quaymaster(world),
  ]
}

function text(name: string, label: string, content: string, answers: DemoFile['answers']): DemoFile {
  return { name, label, content, answers, encoding: 'utf-8' }
}

function quoted(cell: string | number | null, delimiter: string): string {
  const s = cell === null ? '' : String(cell)
  return s.includes(delimiter) || /["\n]/.test(s) ? `"${s.replaceAll('"', '""')}"` : s
}

function delimited(rows: Row[], delimiter: string): string {
  return rows.map((row) => row.map((c) => quoted(c, delimiter)).join(delimiter)).join('\r\n') + '\r\n'
}

function units30(l: StandinListing): number {
  return l.daily.slice(-30).reduce<number>((a, b) => a + (b ?? 0), 0)
}

function image(l: StandinListing): string {
  return `/demo/pictures/${pictureName(l.goods.archetype.shape, l.goods.colour)}`
}

function path(l: StandinListing, separator: string): string {
  return l.goods.archetype.category.split('/').join(separator)
}

/** Some sellers leave the barcode out, some the category: which is settled by the listing's number, so that files do not change. */
function sometimes(l: StandinListing, n: number): boolean {
  return Number(l.id) % n !== 0
}

function marrowgate(list: StandinListing[], world: World): string {
  const head = [
    'Item ID',
    'Title',
    'Seller',
    'Seller since',
    'Price (EUR)',
    'Shipping',
    'Units sold last 30 days',
    'Total sold',
    'Rating',
    'Reviews',
    'Date listed',
    'Category',
    'EAN',
    'Stock',
    'Image',
  ]
  const rows = list.map((l): Row => [
    l.id,
    l.title,
    l.store.name,
    isoDay(l.store.since),
    l.price.toFixed(2),
    l.delivery.toFixed(2),
    units30(l),
    l.unitsTotal,
    l.rating,
    l.reviews,
    isoDay(l.listedOn),
    path(l, ' > '),
    sometimes(l, 7) ? l.goods.gtin : null,
    (Number(l.id) * 7) % 90,
    image(l),
  ])
  return delimited([[`Marrowgate export, captured ${lastDay(world)}`], [], head, ...rows], ',')
}

function gavelhop(list: StandinListing[], world: World): string {
  const head = [
    'Item no.',
    'Item title',
    'Shop',
    'Price',
    'Postage',
    'Sold 30 d',
    'Sold total',
    'Stars',
    'Reviews',
    'Listed',
    'Category',
    'Barcode',
    'Format',
    'Duration, days',
    'Ended, hour',
    'Promotion',
    'Picture',
  ]
  const comma = (n: number | null) => (n === null ? '' : n.toFixed(2).replace('.', ','))
  const day = (d: number) => isoDay(d).split('-').reverse().join('.')
  const rows = list.map((l): Row => [
    l.id,
    l.title,
    l.store.name,
    `£${comma(l.price)}`,
    `£${comma(l.delivery)}`,
    units30(l),
    l.unitsTotal,
    l.rating === null ? '' : l.rating.toFixed(1).replace('.', ','),
    l.reviews,
    day(l.listedOn),
    path(l, '/'),
    sometimes(l, 3) ? l.goods.gtin : null,
    Number(l.id) % 4 === 0 ? 'auction' : 'fixed price',
    choicesOf(l).durationDays,
    choicesOf(l).endHour,
    choicesOf(l).promotion,
    image(l),
  ])
  return delimited(
    [
      ['Sales by listing'],
      [`Period 2 May 2026 to ${dayInWords(world)}`],
      head,
      ...rows,
      ['Total', null, null, null, null, list.reduce((n, l) => n + units30(l), 0)],
    ],
    ';',
  )
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
    const shares = featuredShares(group)
    return group.map((l, i): Row => {
      const { days30, days90, days365 } = feedbackOf(l)
      const share = `${((shares[i] as number) * 100).toFixed(0)}%`
      return [group[0]?.id ?? l.id, l.goods.gtin, l.store.name, l.price.toFixed(2), l.delivery.toFixed(2), share, days30, days90, days365, l.rating, lastDay(world)]
    })
  }) // prettier-ignore
  return delimited([head, ...rows], ',')
}

function searches(world: World, market: string): string {
  const head = ['Search phrase', 'Month', 'Region', 'Searches', 'Competing listings', 'Category']
  return delimited([head, ...termRows(world, market)], ',')
}

function fernhand(list: StandinListing[], world: World): string {
  const results = list.map((l) => ({
    id: l.id, title: l.title, shop: { name: l.store.name, since: isoDay(l.store.since) }, price: { amount: l.price.toFixed(2), currency: 'EUR' },
    shipping: l.delivery, sold: { last30Days: units30(l), total: l.unitsTotal }, rating: l.rating, reviews: l.reviews, listedOn: isoDay(l.listedOn),
    path: l.goods.archetype.category.split('/'), tags: l.tags, kind: l.goods.archetype.kind, image: image(l), gtin: null,
  })) // prettier-ignore
  return JSON.stringify({ generated: lastDay(world), results })
}

function loopreel(list: StandinListing[], world: World): string {
  return list
    .map((l) =>
      JSON.stringify({
        listingId: l.id,
        name: l.title,
        seller: l.store.name,
        price: l.price,
        currency: 'USD',
        shipping: l.delivery,
        unitsSold: units30(l),
        lifetimeSales: l.unitsTotal,
        rating: l.rating,
        reviewCount: l.reviews,
        created: `${isoDay(l.listedOn)}T09:00:00+02:00`,
        category: path(l, ' / '),
        ean: sometimes(l, 2) ? l.goods.gtin : null,
        kind: l.goods.archetype.kind,
        image: image(l),
        capturedOn: lastDay(world),
      }),
    ) // prettier-ignore
    .join('\n')
}

function openstall(list: StandinListing[], world: World): string {
  const head = [
    'SKU',
    'Product name',
    'Store',
    'Item price',
    'Delivery price',
    'Currency',
    'Units sold',
    'Average rating',
    'Number of reviews',
    'Listed on',
    'Category',
    'GTIN',
    'Kind of goods',
    'Keywords',
    'Image URL',
  ]
  const rows = list.map((l): Row => [
    l.id,
    l.title,
    l.store.name,
    l.price.toFixed(2),
    l.delivery.toFixed(2),
    'EUR',
    units30(l),
    l.rating,
    l.reviews,
    isoDay(l.listedOn),
    path(l, ' > '),
    sometimes(l, 5) ? l.goods.gtin : null,
    l.goods.archetype.kind,
    l.tags.join(', '),
    image(l),
  ])
  return delimited([[`Open shops, 30 days to ${lastDay(world)}`], head, ...rows], ',')
}

/** One row a listing, one column a day; empty where nobody counted. */
function wide(list: StandinListing[], world: World, delimiter: string): string {
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
    'Stock',
    'Orders',
    'Rating',
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
    o.stock,
    o.orders,
    o.rating,
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
      ],
    },
    encoding: 'utf-8',
  }
}

function lastDay(world: World): string {
  return isoDay(world.firstDay + world.days - 1)
}

function dayInWords(world: World): string {
  const date = new Date((world.firstDay + world.days - 1) * 86_400_000)
  return `${date.getUTCDate()} ${date.toLocaleString('en', { month: 'long', timeZone: 'UTC' })} ${date.getUTCFullYear()}`
}
