import { sumListings, type Catalog, type ListingSums, type SellerRules } from '../catalog'
import { shareDifference, type Difference } from '../demand'
import { textAt, textColumn } from '../tables'
import { rememberedStems, stemsOf } from '../words'
import { fold, type TextSearch } from './text-search'

/** Listings whose titles have every word of a phrase, in whatever form and order. */
export function listingsAnswering(
  { listings }: Pick<Catalog, 'listings'>,
  search: TextSearch,
  phrase: string,
  isCounted: (listing: number) => boolean = () => true,
): Set<number> {
  const wanted = stemsOf(phrase)
  const found = new Set<number>()
  if (wanted.length === 0) return found
  // A stem need not stand in the word as it is written (berries, berri; 15cm, 15 cm): what both begin with does.
  const beginnings = wanted.map((s) => /^\d+/.exec(s)?.[0] ?? fold(s).slice(0, Math.max(2, s.length - 1)))
  const hits = beginnings.map((text) => search.rowsWith(text, 'title'))
  const titles = textColumn(listings, 'title')
  const stem = rememberedStems()
  for (let row = 0; row < listings.rows; row++) {
    if (!hits.every((h) => h[row] === 1) || !isCounted(row)) continue
    const there = new Set(stemsOf(textAt(titles, row) ?? '', stem))
    if (wanted.every((stem) => there.has(stem))) found.add(row)
  }
  return found
}

/** Two wordings for the same thing, over the listings that use one of them and not the other. */
export interface Wordings {
  first: ListingSums
  second: ListingSums
  /** listings that use both, left out of both sides */
  both: number
  /** share of listings sold, first − second, with its 95 % interval; null where either side has none */
  difference: Difference | null
}

export function compareWordings(
  catalog: Catalog,
  search: TextSearch,
  rules: SellerRules,
  phrases: [string, string],
  isCounted?: (listing: number) => boolean,
): Wordings {
  const [a, b] = phrases.map((p) => listingsAnswering(catalog, search, p, isCounted)) as [Set<number>, Set<number>]
  const only = (mine: Set<number>, other: Set<number>) => [...mine].filter((row) => !other.has(row))
  const [first, second] = [sumListings(catalog, only(a, b), rules), sumListings(catalog, only(b, a), rules)]
  return {
    first,
    second,
    both: [...a].filter((row) => b.has(row)).length,
    difference: shareDifference(first.sold, first.known, second.sold, second.known),
  }
}
