import { isoDay } from '@sickle/core/identity'
import { dayInWords, delimited, image, lastDay, path, sometimes, units30, type Row } from './demo-rows'
import { choicesOf, commissionOf, countryOf, creatorsOf, hidesSales, ranksOf } from './observables'
import type { World } from './world'
import type { StandinListing } from './things'

/** The listings of each market, in the form that market exports. */

export function marrowgate(list: StandinListing[], world: World): string {
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
    'Sales rank',
    'Ships from',
    'Image',
  ]
  const ranks = ranksOf(world, 'Marrowgate')
  const rows = list.map((l): Row => [
    l.id,
    l.title,
    l.store.name,
    isoDay(l.store.since),
    l.price.toFixed(2),
    l.delivery.toFixed(2),
    hidesSales(l) ? null : units30(l),
    hidesSales(l) ? null : l.unitsTotal,
    l.rating,
    l.reviews,
    isoDay(l.listedOn),
    path(l, ' > '),
    sometimes(l, 7) ? l.goods.gtin : null,
    (Number(l.id) * 7) % 90,
    ranks.get(l.id) ?? null,
    sometimes(l, 4) ? countryOf(l.store.name) : 'CN',
    image(l),
  ])
  return delimited([[`Marrowgate export, captured ${lastDay(world)}`], [], head, ...rows], ',')
}

export function gavelhop(list: StandinListing[], world: World): string {
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

export function fernhand(list: StandinListing[], world: World): string {
  const results = list.map((l) => ({
    id: l.id,
    title: l.title,
    shop: { name: l.store.name, since: isoDay(l.store.since) },
    price: { amount: l.price.toFixed(2), currency: 'EUR' },
    shipping: l.delivery,
    sold: { last30Days: units30(l), total: l.unitsTotal },
    rating: l.rating,
    reviews: l.reviews,
    listedOn: isoDay(l.listedOn),
    path: l.goods.archetype.category.split('/'),
    tags: l.tags,
    kind: l.goods.archetype.kind,
    image: image(l),
    gtin: null,
  }))
  return JSON.stringify({ generated: lastDay(world), results })
}

export function loopreel(list: StandinListing[], world: World): string {
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
        commission: commissionOf(l),
        creators: creatorsOf(l),
        stock: (Number(l.id) * 37) % 3000,
        image: image(l),
        capturedOn: lastDay(world),
      }),
    )
    .join('\n')
}

export function openstall(list: StandinListing[], world: World): string {
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
    'Seller country',
    'Shop opened',
    'Language',
    'Keywords',
    'Image URL',
    'Variants',
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
    countryOf(l.store.name),
    isoDay(l.store.since),
    'English',
    l.tags.join(', '),
    image(l),
    l.goods.colour === null ? 1 : 1 + (Number(l.id) % 4),
  ])
  return delimited([[`Open shops, 30 days to ${lastDay(world)}`], head, ...rows], ',')
}
