import { packPatterns, plural } from './pack-patterns'
import { dozen, namedPacks, numberWord, pair, piece, toNumber } from './pack-words'
import { end, isAscii, OrderedPatterns, singleSpaced, start, titlePattern, withoutAccents } from './title-patterns'

const patterns = new OrderedPatterns(packPatterns)

export interface PackCount {
  count: number
  /** the words it was read from */
  from: string
}

/**
 * How many pieces a title says are in the pack, and the words that say so; null where it says nothing (then it is taken as
 * one, which is an assumption, not a finding). Sizes are not packs.
 *
 * @example findPackCount('Fat balls, 6 pcs, 90 g') // { count: 6, from: '6 pcs' }
 */
export function findPackCount(title: string): PackCount | null {
  const written = singleSpaced(title)
  const text = withoutAccents(written).toLowerCase()
  const found = packIn(text)
  if (found === null) return null
  // an accent that is a letter of its own moves what stands behind it
  const said = written.length === text.length ? written : text
  return { count: found.count, from: said.slice(found.at, found.at + found.from.length).trim() }
}

/** The same of a title in small letters without accents, single spaces between its words. */
export function packIn(text: string, isPlain = isAscii(text)): (PackCount & { at: number }) | null {
  if (!hasQuantity(text)) return null
  const first = countFirst.exec(text)
  if (first) return { count: toNumber(first[1]), from: first[0], at: 0 }
  return patterns.first(
    withoutSizes(text),
    ({ count, notOf }, m) => {
      if (notOf?.test(text)) return null
      const found = count(m)
      const from = text.slice(m.index, m.index + m[0].length)
      return found < 1 || found > 5000 ? null : { count: found, from, at: m.index }
    },
    isPlain,
  )
}

/** What every pattern needs: many titles have no figure, number in words, pair or dozen, and are asked no further. */
const hasQuantity = (text: string) => digit.test(text) || quantityWord.test(text)
const digit = /\d/
const quantityWord = titlePattern(`${start}(?:${numberWord}|${dozen}|${pair}|${namedPacks.map(([w]) => w).join('|')})`)

/** '100 x 9cm square pots': who begins with a size does not name several. */
const countFirst = titlePattern(`^(\\d{1,3}) ?[x×] (?=\\d+(?:[.,]\\d+)? ?(?:cm|mm|inch|in|ft) ${plural})`)
const lengthUnit = '(?:cm|mm|m|inch|inches|in|ft|")'
const side = '\\d{1,9}(?:[.,]\\d{1,9})?'
const sidesWithUnit = new RegExp(
  `(?<!\\d)${side} ?(?:${lengthUnit})? ?[x×] ?${side} ?(?:${lengthUnit})?(?: ?[x×] ?${side})? ?${lengthUnit}(?![\\p{L}])`,
  'giu',
)
const sidesAlone = new RegExp(
  `(?<![\\d.,])${side} ?[x×] ?${side}(?: ?[x×] ?${side})?(?! ?(?:ml|cl|l|g|kg|oz)\\b)(?! (?:${piece})${end})(?=$|[\\s,;)])`,
  'giu',
)
/** '90/14': a size of two figures */
const ofTwo = /(?<![\d/])\d{2,3}\/\d{2,3}(?![\d/])/g
const blank = (found: string) => ' '.repeat(found.length)

/** Sizes of several sides ('30 x 40 cm') blanked out, at the same length so that places still agree. */
function withoutSizes(text: string): string {
  const plain = text.includes('/') ? text.replace(ofTwo, blank) : text
  const isTimes = plain.includes('x') || plain.includes('×')
  return isTimes && /\d ?(?:cm|mm|m|inch|inches|in|ft|")? ?[x×]/.test(plain)
    ? plain.replace(sidesWithUnit, blank).replace(sidesAlone, blank)
    : plain
}
