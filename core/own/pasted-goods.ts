import { normaliseGtin, shownGtin } from '../identity'
import { writeCsv } from '../notation'

/** A line of a list that was pasted in. */
export interface PastedGoods {
  /** in full, 14 digits; null where the line has none that is valid */
  gtin: string | null
  /** what else it says; '' where it is a barcode alone */
  title: string
}

/** lines beyond which a list is to come as a file */
export const mostPasted = 20_000

/**
 * Reads a pasted list of barcodes and titles, one thing a line: a barcode, a title, or both in any order. Marks of lists (bullets, numbers
 * with a full stop) before a line do not count; nor do empty lines, nor a second line that says the same.
 *
 * @example pastedGoods('4006381333931\tHanging feeder') // [{ gtin: '04006381333931', title: 'Hanging feeder' }]
 */
export function pastedGoods(text: string): PastedGoods[] {
  const found = new Map<string, PastedGoods>()
  for (const line of text.split(/\r\n|[\r\n]/)) {
    const goods = readLine(line)
    if (goods) found.set(JSON.stringify(goods), goods)
    if (found.size >= mostPasted) break
  }
  return [...found.values()]
}

function readLine(line: string): PastedGoods | null {
  const bare = line.replace(/^\s*(?:[-*•–]|\d{1,4}[.)])\s+/, '')
  let gtin: string | null = null
  const rest = bare.replace(/(?<![\p{L}\d])\d{8,14}(?![\p{L}\d])/gu, (digits) => {
    const read = gtin === null ? normaliseGtin(digits) : null
    if (read === null) return digits
    gtin = read
    return ' '
  })
  const title = trimmed(rest.replace(/["\t;|]+/g, ' ').replace(/\s+/g, ' '))
  return gtin === null && title === '' ? null : { gtin, title }
}

const marks = new Set([' ', ',', ':', '–', '-'])

/** Without the marks that part a title from what stands beside it. */
function trimmed(text: string): string {
  let [from, to] = [0, text.length]
  while (from < to && marks.has(text.charAt(from))) from++
  while (to > from && marks.has(text.charAt(to - 1))) to--
  return text.slice(from, to)
}

/** The same as a file of the kind `catalogue`: what has no number of its own is called by its barcode, else by its title. */
export function pastedFile(list: readonly PastedGoods[]): string {
  const rows = list.map(({ gtin, title }) => {
    const code = gtin === null ? null : shownGtin(gtin)
    return [code ?? title, title === '' ? code : title, code]
  })
  return writeCsv([['SKU', 'Title', 'EAN'], ...rows])
}
