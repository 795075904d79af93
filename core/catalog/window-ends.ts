import { textColumn, numbers, type Table } from '../tables'
import type { SalesBlock } from './sales-block'

/** Market → the last day its figures speak of. */
export function windowEnds(listings: Table, sales: SalesBlock): Record<string, number> {
  const market = textColumn(listings, 'market')
  const [unitsDay, capturedOn] = [numbers(listings, 'unitsDay'), numbers(listings, 'capturedOn')]
  // by number of the market, that of unknown ones last
  const ends = new Float64Array(market.words.length + 1).fill(-Infinity)
  for (let i = 0; i < listings.rows; i++) {
    const at = market.codes[i] as number
    const m = at < 0 ? market.words.length : at
    // Where a market has daily figures they say how far it is known; a list captured later does not add days.
    const day =
      lastSoldDay(sales, i) ?? (Number.isNaN(unitsDay[i]) ? known(capturedOn[i] as number) : (unitsDay[i] as number))
    if (day > (ends[m] as number)) ends[m] = day
  }
  return Object.fromEntries(
    Array.from(ends, (day, m) => [market.words.at(m) ?? '?', day] as const).filter(([, day]) => day > -Infinity),
  )
}

const known = (day: number) => (Number.isNaN(day) ? 0 : day)

function lastSoldDay({ seriesOf, start, from, stepDays }: SalesBlock, listing: number): number | null {
  const s = seriesOf[listing] as number
  if (s < 0) return null
  return (start[s] as number) + ((from[s + 1] as number) - (from[s] as number)) * (stepDays[s] as number) - 1
}
