import { textColumn } from '../tables'
import type { SoldTitle } from '../words'
import type { Catalog } from './catalog'
import { ListingReader } from './listing'
import { seriesAt } from './sales-block'
import { unitsInWindow } from './units-in-window'

const most = 20_000

/** Titles of listings in one category, as their markets write it, with the units of each; those whose units are not known are left out. */
export function soldTitles(
  { listings, sales, windowEnds }: Catalog,
  category: string,
  isCounted: (listing: number) => boolean = () => true,
): SoldTitle[] {
  const { codes, words } = textColumn(listings, 'category')
  let wanted = -1
  for (let code = 0; code < words.length && wanted < 0; code++) if (words.at(code) === category) wanted = code
  if (wanted < 0) return []
  const reader = new ListingReader(listings)
  const titles: SoldTitle[] = []
  for (let l = 0; l < codes.length && titles.length < most; l++) {
    if (codes[l] !== wanted || !isCounted(l)) continue
    const listing = reader.at(l)
    const known = unitsInWindow(listing, seriesAt(sales, l), windowEnds[listing.market] ?? listing.capturedOn)
    if (known && listing.title !== null) titles.push({ title: listing.title, units: known.units })
  }
  return titles
}
