import { ListingReader, type Catalog } from '../catalog'
import { wordsThatSell, type SellingWords } from '../words'
import { middleOf } from '../demand'
import type { StoreListing } from './store-listing'
import { evenly } from './store-themes'

/** How some listings of a store are written; middles, null where there are none. */
export interface Writing {
  listings: number
  titleLength: number | null
  /** of those that show their tags */
  tags: number | null
  tagged: number
}

/** How a store writes what sells, beside what does not sell. */
export interface TitleHabits {
  selling: Writing
  silent: Writing
  /** null with fewer than twenty listings, or where all sell alike */
  words: SellingWords | null
}

/** listings beyond which every so many are read for words */
const mostRead = 3000

/** @param listings of one store; those whose units are not known are left out */
export function titleHabits(catalog: Catalog, listings: readonly StoreListing[]): TitleHabits {
  const reader = new ListingReader(catalog.listings)
  const known = listings.filter((l) => l.units !== null)
  const tagsOf = (l: StoreListing) => countTags(reader.text('tags', l.row))
  const writing = (of: readonly StoreListing[]): Writing => {
    const tags = of.flatMap((l) => tagsOf(l) ?? [])
    return {
      listings: of.length,
      titleLength: middleOf(of.map((l) => l.title.length)),
      tags: middleOf(tags),
      tagged: tags.length,
    }
  }
  return {
    selling: writing(known.filter((l) => (l.units as number) > 0)),
    silent: writing(known.filter((l) => l.units === 0)),
    words: wordsThatSell(evenly(known, mostRead).map((l) => ({ title: l.title, units: l.units as number }))),
  }
}

/** null where a listing does not show its tags: that is not none */
function countTags(text: string | null): number | null {
  return text === null ? null : text.split(/[,;|]/).filter((t) => t.trim() !== '').length
}
