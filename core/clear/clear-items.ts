import { PackedWords, textAt, textColumn, type Table, type TextColumn } from '../tables'
import { statusOrder, type Clearer } from './clearer'

/** code of what nothing speaks of */
export const unknownCode = statusOrder.indexOf('unknown')

export interface ClearItemsOptions {
  /** listing → item */
  itemOf: Int32Array
  items: number
  /** lets other work of the thread in, and reports; share done, 0–1 */
  onProgress?: (done: number) => Promise<void>
}

/** listings between two turns of other work */
const perTurn = 50_000

/**
 * Whether each of many items may be listed, over the columns of their listings: the strictest of all that speaks of any of its listings.
 *
 * @returns item → place in `statusOrder`
 */
export async function clearItems(
  clearer: Clearer,
  listings: Table,
  { itemOf, items, onProgress = async () => {} }: ClearItemsOptions,
): Promise<Uint8Array> {
  const codes = new Uint8Array(items).fill(unknownCode)
  if (clearer.entries.length === 0) return codes
  const strictest = strictestOf(clearer, listings)
  for (let from = 0; from < listings.rows; from += perTurn) {
    await onProgress(from / listings.rows)
    const to = Math.min(listings.rows, from + perTurn)
    for (let row = from; row < to; row++) {
      const item = itemOf[row] as number
      codes[item] = Math.min(codes[item] as number, strictest(row))
    }
  }
  return codes
}

/** The strictest that is said of a listing, by its row. */
function strictestOf(clearer: Clearer, listings: Table): (row: number) => number {
  const statuses = Uint8Array.from(clearer.entries, (e) => statusOrder.indexOf(e.status))
  const column = (name: string) => textColumn(listings, name)
  const [market, id, title, tags] = [column('market'), column('id'), column('title'), column('tags')]
  const byWords = [
    remembered(column('gtin'), (gtin) => clearer.ofGtin(gtin)),
    remembered(column('brand'), (brand) => clearer.ofBrand(brand)),
    remembered(column('category'), (category) => clearer.ofCategory(category)),
  ]
  const readTitle = titleReader(clearer, title)
  let least = unknownCode
  const take = (entry: number) => {
    const status = statuses[entry] as number
    if (status < least) least = status
  }
  return (row) => {
    least = unknownCode
    for (const entriesOf of byWords) for (const entry of entriesOf(row)) take(entry)
    if (clearer.namesListings)
      for (const entry of clearer.ofKey(`${textAt(market, row) ?? '?'}/${textAt(id, row) ?? ''}`)) take(entry)
    if (clearer.readsTexts) {
      readTitle(row, take)
      const said = textAt(tags, row)
      if (said !== null) for (const tag of said.split('|')) clearer.forEachInText(tag, take)
    }
    return least
  }
}

/** Goes through the words of a listing's title; titles that rest packed are read as they lie. */
function titleReader(clearer: Clearer, title: TextColumn): (row: number, found: (entry: number) => void) => void {
  const { codes, words } = title
  if (!(words instanceof PackedWords)) return (row, found) => clearer.forEachInText(textAt(title, row) ?? '', found)
  const { bytes, ends } = words.packed
  return (row, found) => {
    const code = codes[row] as number
    if (code < 0) return
    clearer.forEachInBytes(bytes, code === 0 ? 0 : (ends[code - 1] as number), ends[code] as number, found)
  }
}

/** Entries by the word of a column: each word is looked up once. */
function remembered(column: TextColumn, find: (word: string) => readonly number[]): (row: number) => readonly number[] {
  const known: (readonly number[] | undefined)[] = []
  return (row) => {
    const code = column.codes[row] as number
    if (code < 0) return []
    return (known[code] ??= find(column.words.at(code) ?? ''))
  }
}
