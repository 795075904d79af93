import type { Choice } from '../demand'
import { textColumn } from '../tables'
import type { Catalog } from './catalog'
import { ListingReader, type Listing } from './listing'
import { seriesAt } from './sales-block'
import { unitsInWindow } from './units-in-window'

/** Listings of one category by what their sellers chose, and whether they sold in 30 days; those whose units are not known are left out. */
export function listingChoices(
  { listings, sales, windowEnds }: Catalog,
  category: string,
  isCounted: (listing: number) => boolean = () => true,
): Choice[] {
  const { codes, words } = textColumn(listings, 'category')
  const wanted = Array.from({ length: words.length }, (_, code) => words.at(code) === category)
  const reader = new ListingReader(listings)
  const choices: Choice[] = []
  codes.forEach((code, l) => {
    if (!wanted[code] || !isCounted(l)) return
    const listing = reader.at(l)
    const known = unitsInWindow(listing, seriesAt(sales, l), windowEnds[listing.market] ?? listing.capturedOn)
    if (known) choices.push({ options: optionsOf(listing), sold: known.units > 0 })
  })
  return choices
}

function optionsOf({ format, promotion, durationDays, endHour, delivery }: Listing): Record<string, string> {
  const hours = endHour === null ? null : Math.floor(endHour / 4) * 4
  return {
    ...(format === null ? {} : { Format: format }),
    ...(durationDays === null ? {} : { Duration: `${durationDays} days` }),
    ...(hours === null ? {} : { 'Hour it ends': `${hours}–${hours + 3} h` }),
    ...(promotion === null ? {} : { Promotion: promotion }),
    ...(delivery === null ? {} : { Delivery: delivery === 0 ? 'free' : 'charged' }),
  }
}
