import { ListingReader, sumListings, type Catalog, type ListingSums, type SellerRules } from '../catalog'
import { textAt, textColumn } from '../tables'
import { themesOf, withoutOwnNames } from '../words'

/** A narrow theme of a branch, with what its listings sell. */
export interface BranchTheme {
  /** what stands for it, strongest first */
  phrases: string[]
  sums: ListingSums
  /** middle age of its listings that say since when they are listed, in days to the end of the window */
  medianAgeDays: number | null
}

/** titles beyond which the rest of a branch is not looked at */
const mostTitles = 10_000

/**
 * The narrow themes of a branch and of all below it, those first that sell through best by the lower end of the interval.
 *
 * @returns the best `most` of them, and how many titles they were found among
 */
export function branchThemes(
  catalog: Catalog,
  rules: SellerRules,
  path: string,
  most = 12,
): { themes: BranchTheme[]; of: number } {
  const { listings } = catalog
  const { codes, words } = textColumn(listings, 'category')
  const inside = Uint8Array.from({ length: words.length }, (_, code) =>
    Number(`${words.at(code) ?? ''} / `.startsWith(`${path} / `)),
  )
  const rows: number[] = []
  for (let row = 0; row < listings.rows && rows.length < mostTitles; row++)
    if (inside[codes[row] as number] === 1) rows.push(row)
  const [titles, stores] = [textColumn(listings, 'title'), textColumn(listings, 'store')]
  const reader = new ListingReader(listings)
  const themes = themesOf(
    withoutOwnNames(rows.map((row) => ({ title: textAt(titles, row) ?? '', store: textAt(stores, row) }))),
  ).map(({ phrases, places }): BranchTheme => {
    const mine = places.map((place) => rows[place] as number)
    const sums = sumListings(catalog, mine, rules)
    return {
      phrases,
      sums,
      medianAgeDays: medianAge(
        mine.map((row) => reader.figure('listedOn', row)),
        sums.windowEnd,
      ),
    }
  })
  themes.sort((a, b) => (b.sums.sellThrough?.low ?? -1) - (a.sums.sellThrough?.low ?? -1))
  return { themes: themes.slice(0, most), of: rows.length }
}

function medianAge(days: (number | null)[], end: number | null): number | null {
  const known = days.filter((d) => d !== null).sort((a, b) => a - b)
  const middle = known[known.length >> 1]
  return middle === undefined || end === null ? null : Math.max(0, end - middle)
}
