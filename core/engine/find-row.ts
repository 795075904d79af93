import type { Assumption, Grade, Item } from '../catalog'
import { lastDayOf, sumWindow, type Stage } from '../demand'
import type { ListingStatus } from '../clear'
import type { RoomWord } from '../room'

/** An item as one row of the finds: what is on the screen and no more. Money in E4 of the home currency. */
export interface FindRow {
  key: string
  title: string
  picture: string | null
  kind: string
  markets: string[]
  listings: number
  sellers: number
  priceLowE4: number | null
  priceHighE4: number | null
  units: number | null
  unitsGrade: Grade | null
  /** units a day over 90 days in 30 steps of three days (weeks where only weeks are known); null is a gap */
  trend: (number | null)[]
  stage: Stage
  growth: number | null
  sellThrough: number | null
  sellThroughLow: number | null
  sellThroughHigh: number | null
  unitsPerListing: number | null
  room: RoomWord
  openness: number | null
  landedE4: number | null
  profitE4: number | null
  margin: number | null
  bestMarket: string | null
  /** what the profit rests on that nobody stated */
  assumed: readonly Assumption[]
  worth: number | null
  clearing: ListingStatus
  windowEnd: number
  /** measures in columns of their own, by name */
  figures: Record<string, number | null>
}

export function findRow(item: Item): FindRow {
  const { key, title, picture, kind, markets, sellers, priceLowE4, priceHighE4, units, unitsGrade, stage, landedE4 } =
    item
  return {
    key,
    title,
    picture,
    kind,
    markets,
    sellers,
    priceLowE4,
    priceHighE4,
    units,
    unitsGrade,
    stage,
    landedE4,
    listings: item.listings.length,
    trend: trendOf(item),
    growth: item.life?.growth ?? null,
    sellThrough: item.sellThrough?.ratio ?? null,
    sellThroughLow: item.sellThrough?.low ?? null,
    sellThroughHigh: item.sellThrough?.high ?? null,
    unitsPerListing: item.unitsPerListing,
    room: item.room.word,
    openness: item.room.openness,
    profitE4: item.best?.profitE4 ?? null,
    margin: item.best?.margin ?? null,
    bestMarket: item.best?.market ?? null,
    assumed: item.best?.assumed ?? [],
    worth: item.worth.value,
    clearing: item.clearing,
    windowEnd: item.windowEnd,
    figures: {},
  }
}

function trendOf({ series }: Item): (number | null)[] {
  if (!series) return []
  const step = series.stepDays === 7 ? 7 : 3
  const end = lastDayOf(series)
  const steps = Math.floor(90 / step)
  return Array.from({ length: steps }, (_, i) => {
    const sum = sumWindow(series, end - (steps - 1 - i) * step, step)
    return sum.known === 0 ? null : sum.units / sum.known
  })
}
