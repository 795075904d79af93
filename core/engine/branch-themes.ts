import { listingThemes, type Catalog, type ListingTheme, type SellerRules } from '../catalog'
import { textAt, textColumn } from '../tables'
import { themesOf, withoutOwnNames } from '../words'

/** titles beyond which the rest of a branch is not looked at */
const mostTitles = 10_000

/**
 * The narrow themes of a branch and of all below it, those first that sell through best by the lower end of the interval.
 *
 * @param options.isCounted whether a listing counts (default: all do)
 * @returns the best `most` of them, and how many titles they were found among
 */
export function branchThemes(
  catalog: Catalog,
  rules: SellerRules,
  path: string,
  { most = 12, isCounted = () => true }: { most?: number; isCounted?: (listing: number) => boolean } = {},
): { themes: ListingTheme[]; of: number } {
  const { listings } = catalog
  const { codes, words } = textColumn(listings, 'category')
  const inside = Uint8Array.from({ length: words.length }, (_, code) =>
    Number(`${words.at(code) ?? ''} / `.startsWith(`${path} / `)),
  )
  const rows: number[] = []
  for (let row = 0; row < listings.rows && rows.length < mostTitles; row++)
    if (inside[codes[row] as number] === 1 && isCounted(row)) rows.push(row)
  const [titles, stores] = [textColumn(listings, 'title'), textColumn(listings, 'store')]
  const found = themesOf(
    withoutOwnNames(rows.map((row) => ({ title: textAt(titles, row) ?? '', store: textAt(stores, row) }))),
  ).map(({ phrases, places }) => ({ phrases, rows: places.map((place) => rows[place] as number) }))
  return { themes: listingThemes(catalog, found, rules).slice(0, most), of: rows.length }
}
