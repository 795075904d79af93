import { FormNumbering, type Joinable, type TitleForms } from '../goods'
import { Dictionary, textColumn, type Table } from '../tables'

/** What is known of the forms of titles from before: those of listings that say what they said need not be taken apart again. */
export interface KnownForms {
  forms: TitleForms
  /** listing → its form; -2 where its title is to be taken apart */
  formOf: Int32Array
}
export const notRead = -2

/**
 * What listings are joined by.
 *
 * @param onProgress hears the share done
 */
export async function joinableOf(
  listings: Table,
  known: KnownForms | null = null,
  onProgress: (done: number) => Promise<void> = async () => {},
): Promise<Joinable> {
  const title = textColumn(listings, 'title')
  const forms = new FormNumbering(known?.forms ?? null)
  const formOf = known?.formOf.slice() ?? new Int32Array(listings.rows).fill(notRead)
  // a title that many listings have is read once
  const formOfTitle = new Int32Array(title.words.length).fill(notRead)
  for (let i = 0; i < listings.rows; i++) {
    if (i % 500 === 0) await onProgress(i / listings.rows)
    if (formOf[i] !== notRead) continue
    const code = title.codes[i] as number
    if (code >= 0 && formOfTitle[code] === notRead) formOfTitle[code] = forms.form(title.words.at(code) ?? '')
    formOf[i] = code < 0 ? -1 : (formOfTitle[code] as number)
  }
  return { forms: forms.finish(formOf), ...labelsOf(listings) }
}

type Labels = Pick<Joinable, 'gtins' | 'brands'>
/** of listings that were asked for: each saying of the seller asks anew */
const known = new WeakMap<Table, Labels>()

/** Numbers of barcodes and of brands, whose case does not count; -1 where none is known. */
export function labelsOf(listings: Table): Labels {
  const before = known.get(listings)
  if (before) return before
  const brand = textColumn(listings, 'brand')
  const folded = new Dictionary()
  const codes = Int32Array.from({ length: brand.words.length }, (_, i) =>
    folded.code((brand.words.at(i) ?? '').trim().toLowerCase()),
  )
  const labels = {
    gtins: textColumn(listings, 'gtin').codes,
    brands: brand.codes.map((c) => (c < 0 ? -1 : (codes[c] as number))),
  }
  known.set(listings, labels)
  return labels
}
