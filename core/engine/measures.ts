import { fewItems, itemFields, type Item } from '../catalog'
import { daysSince, monthsSince } from './counted-days'
import { ratioOf } from '../margin'
import type { FigureFormat, StripScale } from '../records'
import { sharedProfit } from '../verdict'

/** A column that items can be limited and sorted by. */
export interface Measure {
  name: string
  label: string
  /** how a screen writes it */
  format: FigureFormat
  of: (item: Item) => number | null
  /** edges of a strip's bins in the measure's own unit; the first and last bin take what lies beyond */
  scale: StripScale
  /** the trade's rule-of-thumb band (common practice, no source) */
  band?: readonly [number | null, number | null]
}

const major = (e4: number | null | undefined) => (e4 == null ? null : e4 / 10_000)

/** Days from the first of its listings to the end of the window. */
function daysListed({ listings, windowEnd }: Item): number | null {
  const days = listings.flatMap((l) => l.listedOn ?? [])
  return days.length ? daysSince(Math.min(...days), windowEnd) : null
}

/** Profit in what the goods cost landed, by the offer that is reckoned with, where it earns most; null for goods that cost nothing. */
function markUp({ best, landedE4 }: Item): number | null {
  return ratioOf(best?.profitE4 ?? null, landedE4)
}

/** Share of a window's units, 0–1: clips from before the window sell in it too, so that it is the least that they can be. */
function soldBy({ units }: Item, sold: number | null): number | null {
  return sold === null || !units ? null : Math.min(1, sold / units)
}
function clipsAlone({ reach }: Item): number | null {
  const { clipUnits30, liveUnits30 } = reach.clips
  return clipUnits30 === null ? null : clipUnits30 - (liveUnits30 ?? 0)
}
function shopShare(item: Item): number | null {
  const shown = soldBy(item, item.reach.clips.clipUnits30)
  return shown === null ? null : 1 - shown
}

/** Measures that are worked out of several figures. */
const workedOut: readonly Measure[] = [
  {
    name: 'price',
    label: 'Price',
    format: 'money',
    of: (i) => major(i.priceLowE4),
    scale: { from: 1, to: 200, kind: 'log' },
    band: [5, 40],
  },
  {
    name: 'units',
    label: 'Units, 30 d',
    format: 'count',
    of: (i) => i.units,
    scale: { from: 1, to: 2000, kind: 'log' },
    band: [60, null],
  },
  {
    name: 'growth',
    label: 'Growth, 28 d',
    format: 'percent',
    of: (i) => i.life?.growth ?? null,
    scale: { from: -1, to: 1, kind: 'linear' },
    band: [0, null],
  },
  {
    name: 'sellThrough',
    label: 'Listings sold',
    format: 'percent',
    of: (i) => i.sellThrough?.ratio ?? null,
    scale: { from: 0, to: 1, kind: 'linear' },
    band: [0.6, null],
  },
  {
    name: 'sellThroughLow',
    label: 'Listings sold, at least',
    format: 'percent',
    of: (i) => i.sellThrough?.low ?? null,
    scale: { from: 0, to: 1, kind: 'linear' },
  },
  {
    name: 'profit',
    label: 'Profit',
    format: 'signed money',
    of: (i) => major(i.best?.profitE4),
    scale: { from: -5, to: 25, kind: 'linear' },
    band: [5, null],
  },
  {
    name: 'margin',
    label: 'Margin',
    format: 'percent',
    of: (i) => i.best?.margin ?? null,
    scale: { from: -0.2, to: 0.8, kind: 'linear' },
    band: [0.2, null],
  },
  {
    name: 'unitsPerListing',
    label: 'Units a listing',
    format: 'number',
    of: (i) => i.unitsPerListing,
    scale: { from: 0.1, to: 200, kind: 'log' },
    band: [2, null],
  },
  {
    name: 'sellers',
    label: 'Sellers',
    format: 'count',
    of: (i) => i.sellers,
    scale: { from: 1, to: 60, kind: 'log' },
    band: [2, 12],
  },
  {
    name: 'listings',
    label: 'Listings',
    format: 'count',
    of: (i) => i.listings.length,
    scale: { from: 1, to: 60, kind: 'log' },
  },
  {
    name: 'revenue',
    label: 'Sales, 30 d',
    format: 'money',
    of: (i) => major(i.revenueE4),
    scale: { from: 10, to: 100_000, kind: 'log' },
  },
  {
    name: 'landed',
    label: 'Landed cost',
    format: 'money',
    of: (i) => major(i.landedE4),
    scale: { from: 0.5, to: 100, kind: 'log' },
  },
  {
    name: 'profitMonth',
    label: 'Profit a month, shared',
    format: 'signed money',
    of: (i) =>
      i.best?.profitE4 == null || i.units === null
        ? null
        : sharedProfit(i.best.profitE4 / 10_000, i.units, i.listings.length),
    scale: { from: -100, to: 500, kind: 'linear' },
  },
  {
    name: 'room',
    label: 'Room',
    format: 'percent',
    of: (i) => i.room.openness,
    scale: { from: 0, to: 1, kind: 'linear' },
  },
  {
    name: 'topShare',
    label: 'Largest seller',
    format: 'percent',
    of: (i) => i.room.topShare,
    scale: { from: 0, to: 1, kind: 'linear' },
    band: [null, 0.6],
  },
  {
    name: 'slope',
    label: 'Trend a week',
    format: 'percent',
    of: (i) => i.life?.slopePerWeek ?? null,
    scale: { from: -0.1, to: 0.1, kind: 'linear' },
  },
  {
    name: 'growthSeasonless',
    label: 'Growth, no season',
    format: 'percent',
    of: (i) => i.life?.growthSeasonless ?? null,
    scale: { from: -1, to: 1, kind: 'linear' },
  },
  {
    name: 'growth90',
    label: 'Growth, 90 d',
    format: 'percent',
    of: (i) => i.life?.growth90 ?? null,
    scale: { from: -1, to: 1, kind: 'linear' },
  },
  {
    name: 'growth180',
    label: 'Growth, 180 d',
    format: 'percent',
    of: (i) => i.life?.growth180 ?? null,
    scale: { from: -1, to: 1, kind: 'linear' },
  },
  {
    name: 'clips',
    label: 'Clips and lives, 30 d',
    format: 'count',
    of: (i) => i.reach.clips.clips30,
    scale: { from: 1, to: 1000, kind: 'log' },
  },
  {
    name: 'joined',
    label: 'Creators joined, 28 d',
    format: 'count',
    of: (i) => i.reach.clips.joined28,
    scale: { from: 1, to: 1000, kind: 'log' },
  },
  {
    name: 'clipShare',
    label: 'Sold by clips, at least',
    format: 'percent',
    of: (i) => soldBy(i, clipsAlone(i)),
    scale: { from: 0, to: 1, kind: 'linear' },
  },
  {
    name: 'liveShare',
    label: 'Sold by lives, at least',
    format: 'percent',
    of: (i) => soldBy(i, i.reach.clips.liveUnits30),
    scale: { from: 0, to: 1, kind: 'linear' },
  },
  {
    name: 'shopShare',
    label: 'Sold by the shop, at most',
    format: 'percent',
    of: (i) => shopShare(i),
    scale: { from: 0, to: 1, kind: 'linear' },
  },
  {
    name: 'unpaidShare',
    label: 'Sold without paid reach',
    format: 'percent',
    of: (i) => i.reach.clips.unpaidRatio,
    scale: { from: 0, to: 1, kind: 'linear' },
  },
  {
    name: 'levelChange',
    label: 'Level changed',
    format: 'percent',
    of: (i) => i.life?.levelChange ?? null,
    scale: { from: -1, to: 3, kind: 'linear' },
  },
  {
    name: 'seasonStrength',
    label: 'Season',
    format: 'number',
    of: (i) => i.life?.seasonStrength ?? null,
    scale: { from: 0, to: 1, kind: 'linear' },
  },
  {
    name: 'daysListed',
    label: 'Days listed',
    format: 'count',
    of: (i) => daysListed(i),
    scale: { from: 5, to: 2000, kind: 'log' },
  },
  {
    name: 'deliveryDays',
    label: 'Supplier’s days',
    format: 'count',
    of: (i) => i.offer?.offer.leadDays ?? null,
    scale: { from: 0, to: 30, kind: 'linear' },
    band: [null, 10],
  },
  {
    name: 'supplierOrders',
    label: 'Supplier’s orders',
    format: 'count',
    of: (i) => i.offer?.offer.orders ?? null,
    scale: { from: 1, to: 10_000, kind: 'log' },
    band: [null, 1000],
  },
  {
    name: 'competingOffers',
    label: 'Competing offers',
    format: 'count',
    of: (i) => i.reach.competingOffers,
    scale: { from: 1, to: 60, kind: 'log' },
    band: [1, 12],
  },
  {
    name: 'storeMonths',
    label: 'Youngest store, months',
    format: 'count',
    of: (i) => (i.storeSince === null ? null : monthsSince(i.storeSince, i.windowEnd)),
    scale: { from: 0, to: 120, kind: 'linear' },
    band: [null, 36],
  },
  {
    name: 'oneItemStores',
    label: 'One-item stores',
    format: 'count',
    of: (i) => i.reach.oneItemStores,
    scale: { from: 0, to: 28, kind: 'linear' },
  },
  {
    name: 'smallStores',
    label: `Stores of up to ${fewItems} items`,
    format: 'count',
    of: (i) => i.reach.smallStores,
    scale: { from: 0, to: 28, kind: 'linear' },
  },
  {
    name: 'markUp',
    label: 'Mark-up over cost',
    format: 'percent',
    of: (i) => markUp(i),
    scale: { from: -1, to: 6, kind: 'linear' },
    band: [1, null],
  },
  {
    name: 'worth',
    label: 'Worth',
    format: 'score',
    of: (i) => i.worth.value,
    scale: { from: 0, to: 100, kind: 'linear' },
  },
]

/** Measures that are a field of listings, as the table of fields says: an item has them by the field's name. */
const stated: readonly Measure[] = itemFields.flatMap(({ name, item }) =>
  item.measure ? [{ name, ...item.measure, of: (i: Item) => i[name as 'rank'] }] : [],
)

/** Every measure of an item. Strips, columns, sort orders and Cuts follow from this table. */
export const measures: readonly Measure[] = [...workedOut, ...stated]

export function measure(name: string): Measure {
  return measures.find((m) => m.name === name) ?? (measures[0] as Measure)
}
