import { isoDay } from '@sickle/core/identity'
import { clipsAbout, type StandinClip } from './creators'
import { delimited, type Row } from './demo-rows'
import { chance } from './random'
import type { World } from './world'

/** What sells by the thousand on the social shop this month: a list of its own, with its days and its clips. */
interface Hit {
  title: string
  category: string
  /** USD */
  price: number
  /** units a day at the end, and how they came there */
  perDay: number
  course: 'steady' | 'rising' | 'fading' | 'spike'
  creators: number
  commission: number
  rating: number
  stock: number
}

const hit = (
  title: string,
  category: string,
  [price, perDay, course]: [number, number, Hit['course']],
  [creators, commission, rating, stock]: [number, number, number, number],
): Hit => ({ title, category, price, perDay, course, creators, commission, rating, stock })

/** In their order by units; the third is carried by one lucky clip. */
export const hits: readonly Hit[] = [
  hit(
    'Window feeder on suction cups, two trays',
    'Garden/Birds/Feeders',
    [24, 150, 'steady'],
    [14_200, 0.15, 4.6, 5200],
  ),
  hit('Slug ring of copper mesh, 6 pieces', 'Garden/Balcony', [19, 128, 'rising'], [12_400, 0.12, 4.4, 2600]),
  hit('Herb press for windowsills, beech', 'Home/Kitchen', [32, 118, 'spike'], [640, 0.2, 4.3, 1900]),
  hit('Watering globes of glass, set of 4', 'Garden/Balcony', [27, 112, 'steady'], [720, 0.2, 4.5, 3100]),
  hit('Balcony worm tower, stackable', 'Garden/Balcony', [58, 96, 'rising'], [480, 0.22, 4.4, 1400]),
  hit('Moth-safe solar lamp, railing clip', 'Garden/Balcony', [36, 92, 'fading'], [2400, 0.18, 4.2, 900]),
  hit('Bird call whistles, box of 5', 'Garden/Birds', [22, 88, 'steady'], [350, 0.25, 4.7, 2200]),
  hit('Seed tape kit for children', 'Garden/Sowing', [18, 84, 'rising'], [910, 0.16, 4.1, 4100]),
  hit('Magnetic plant mister, brass', 'Home/Kitchen', [29, 76, 'steady'], [560, 0.18, 3.7, 1700]),
  hit('Drying rack for herbs, six tiers', 'Home/Kitchen', [26, 71, 'steady'], [820, 0.1, 4.6, 1200]),
  hit('Tomato halo waterer, 3 pieces', 'Garden/Balcony', [21, 66, 'rising'], [260, 0.15, 4.5, 2000]),
  hit('Nest camera hood, weatherproof', 'Garden/Birds', [49, 60, 'spike'], [190, 0.28, 4.4, 800]),
  hit('Peat-free coir bricks, 12 pack', 'Garden/Sowing', [23, 55, 'steady'], [6800, 0.12, 4.3, 5000]),
  hit('Foldable potting mat, 100 cm', 'Garden/Balcony', [20, 50, 'fading'], [540, 0.2, 4.5, 2300]),
  hit('Swift-friendly balcony netting', 'Garden/Balcony', [31, 44, 'steady'], [150, 0.3, 4.0, 1500]),
  hit('Kneeler stool with tool pockets', 'Garden/Tools', [44, 40, 'rising'], [430, 0.17, 4.6, 1100]),
]

const idOf = (at: number) => `H${String(at + 1).padStart(3, '0')}`

function dailyOf({ perDay, course }: Hit, days: number, seed: number): number[] {
  const random = chance(seed * 977 + 5)
  return Array.from({ length: days }, (_, d) => {
    const t = d / (days - 1)
    const level = {
      steady: 1,
      rising: 0.35 + 0.65 * t ** 2,
      fading: t < 0.5 ? 2.2 : 2.2 - 1.2 * ((t - 0.5) / 0.5),
      spike: 0.05 + 6 * Math.exp(-(((t - 0.88) / 0.03) ** 2)),
    }[course]
    return random.poisson(perDay * level * Math.exp(0.15 * random.normal()))
  })
}

/** What they truly sold in the last days, by the number of the listing. */
export const hitUnits = (world: World, days: number): ReadonlyMap<string, number> =>
  new Map(hits.map((h, at) => [idOf(at), unitsOf(h, at, world, days)]))

const unitsOf = (h: Hit, at: number, { days }: World, of: number) =>
  dailyOf(h, days, at)
    .slice(-of)
    .reduce((a, b) => a + b, 0)

/** The list of the month as the social shop writes it. */
export function hitsFile(world: World): string {
  const head = [
    'Listing ID',
    'Product name',
    'Seller',
    'Price',
    'Currency',
    'Units sold',
    'Lifetime sales',
    'Rating',
    'Reviews',
    'Listed on',
    'Category',
    'Commission',
    'Creators',
    'Stock',
    'Seller country',
  ]
  const rows = hits.map((h, at): Row => {
    const random = chance(at * 31 + 2)
    const sold = unitsOf(h, at, world, world.days)
    return [
      idOf(at),
      h.title,
      random.pick(['Larkspur Terrace', 'Fennel Terrace', 'Thistle Shed', 'Clover Row', 'Linnet Supply']),
      h.price,
      'USD',
      unitsOf(h, at, world, 30),
      sold + random.whole(0, 4000),
      h.rating,
      Math.round(sold * 0.06),
      isoDay(world.firstDay - random.whole(20, 300)),
      h.category.split('/').join(' / '),
      `${Math.round(h.commission * 100)}%`,
      h.creators,
      h.stock,
      random.pick(['IE', 'NL', 'PL', 'DE']),
    ]
  })
  return delimited([head, ...rows], ',')
}

const offered = [
  { share: 0.28, least: 20, delivery: 2.5, days: '9-14 days' },
  { share: 0.34, least: 5, delivery: 3.9, days: '4-6 days' },
  { share: 0.31, least: 10, delivery: 3.2, days: '6-10 days' },
]

/** Three offers of each, by suppliers who offer other things too: rows of the hub's price list. */
export function hitOffers(world: World): Row[] {
  return hits.flatMap(({ title, price }, at) =>
    offered.map(({ share, least, delivery, days }, n): Row => {
      const by = world.offers[(at * offered.length + n) * 11] ?? world.offers[0]
      if (!by) throw new Error('the world has no offers')
      const cost = price * share
      return [
        `QMH${at * offered.length + n + 1}`,
        by.supplier,
        null,
        n === 0 ? title : title.replace(',', ' -'),
        ...[1, 0.95, 0.88].map((part) => Number((cost * part).toFixed(2))),
        least,
        delivery,
        days,
        by.shipsFrom,
        0.5,
        '24 x 18 x 10',
        2000 + at * 300,
        150 + at * 60,
        4.5,
        by.facts.since === null ? null : isoDay(by.facts.since),
        by.facts.goodReviews,
        Number((cost * 1.5).toFixed(2)),
        null,
      ]
    }),
  )
}

/** Their units day by day, a column a day. */
export function hitDays(world: World): string {
  const head = ['Listing ID', ...Array.from({ length: world.days }, (_, d) => isoDay(world.firstDay + d))]
  return delimited([head, ...hits.map((h, at): Row => [idOf(at), ...dailyOf(h, world.days, at)])], ',')
}

export interface HitClips {
  id: string
  price: number
  commission: number
  clips: StandinClip[]
}

/** Clips about them: a few sold most; of the third item one clip sold more than all others together. */
export function hitClips(world: World): HitClips[] {
  return hits.map((h, at) => {
    const sold = unitsOf(h, at, world, 90) * 0.55
    const clips = clipsAbout({
      seed: at * 59 + 13,
      count: Math.min(120, 24 + Math.round(h.creators / 60)),
      units: at === lucky ? sold * 0.3 : sold,
      topic: h.category.split('/')[0] ?? 'Garden',
    })
    const first = clips[0] as StandinClip
    const luck = { ...first, units: Math.round(sold * 0.7), views: 1_900_000, isPaid: false, isLive: false }
    return {
      id: idOf(at),
      price: h.price,
      commission: h.commission,
      clips: at === lucky ? [luck, ...clips.slice(1)] : clips,
    }
  })
}

/** place of the one that a single clip carries */
export const lucky = 2
