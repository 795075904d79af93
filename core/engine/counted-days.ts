import type { Catalog } from '../catalog'
import { numbers, textColumn, type Table } from '../tables'

const monthDays = 30.4375

/** Days from the day it was listed to the end of the window. */
export function daysSince(day: number, end: number): number {
  return Math.max(0, end - day)
}

/** Whole months that a store has traded at the end of the window. */
export function monthsSince(day: number, end: number): number {
  return Math.max(0, Math.floor((end - day) / monthDays))
}

/** Figures of which those that count days are brought up to the ends of the windows: all else of an item may be as it was while days pass. */
export function withDaysCounted(figures: Table, { listings, starts, members, windowEnds }: Catalog): Table {
  const [days, months] = [numbers(figures, 'daysListed').slice(), numbers(figures, 'storeMonths').slice()]
  const market = textColumn(listings, 'market')
  const ends = Array.from({ length: market.words.length }, (_, m) => windowEnds[market.words.at(m) ?? '?'])
  const [listedOn, storeSince, capturedOn] = [
    numbers(listings, 'listedOn'),
    numbers(listings, 'storeSince'),
    numbers(listings, 'capturedOn'),
  ]
  for (let item = 0; item < figures.rows; item++) {
    let [end, listed, since] = [-Infinity, Infinity, -Infinity]
    for (let i = starts[item] as number; i < (starts[item + 1] as number); i++) {
      const listing = members[i] as number
      end = Math.max(end, ends[market.codes[listing] as number] ?? windowEnds['?'] ?? (capturedOn[listing] as number))
      // what is not known is NaN, which is neither less nor more
      if ((listedOn[listing] as number) < listed) listed = listedOn[listing] as number
      if ((storeSince[listing] as number) > since) since = storeSince[listing] as number
    }
    if (Number.isFinite(listed)) days[item] = daysSince(listed, end)
    if (Number.isFinite(since)) months[item] = monthsSince(since, end)
  }
  const counted = { daysListed: days, storeMonths: months }
  const columns = Object.entries(counted).map(([name, values]) => [name, { type: 'number', values }] as const)
  return { ...figures, columns: { ...figures.columns, ...Object.fromEntries(columns) } }
}
