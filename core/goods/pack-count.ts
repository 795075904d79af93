import {
  bareContainer,
  container,
  dozen,
  free,
  madeOfPieces,
  magnifying,
  namedPacks,
  numberWord,
  ofWord,
  packed,
  pair,
  pairwise,
  parts,
  piece,
  toNumber,
  within,
} from './pack-words'

export interface PackCount {
  count: number
  /** the words it was read from */
  from: string
}

/** Of words of any alphabet: the platform's own boundary knows those of English alone. */
const start = '(?<![\\p{L}\\d])'
const end = '(?![\\p{L}\\d])'
const number = `(\\d{1,4}|${numberWord})`
const size = '(?:cm|mm|m|ml|cl|l|g|kg|oz|inch|in|ft|"|litres?|liters?)'
/** A word or a few, the last of them in the plural. */
const plural = '(?:[\\p{L}-]+ ){0,3}[\\p{L}-]*[^s\\P{L}]s\\b'
/** Plurals of other languages, told by what stands behind them: 'penne a sfera', 'Halter aus Messing', 'kaarsen'. */
const otherPlural = [
  '\\p{L}{3,}[aei] (?:\\p{L}{3,}[aei]|a|di|da|per|con)\\b',
  '\\p{L}{4,} (?:aus|für|mit|zum|zur)\\b',
  '\\p{L}{3,}(?<!gard|kitch|lin|wood|gold|scre|wov)en\\b(?! \\p{L}+s\\b)',
].join('|')
const all = (parts: string) => new RegExp(`${start}(?:${parts})${end}`, 'iu')
const isPairwise = all(pairwise)
const isOfPieces = all(madeOfPieces)
const isGlass = all(magnifying)

interface Pattern {
  re: RegExp
  count: (m: RegExpExecArray) => number
  /** says nothing of one thing that is made of many pieces */
  isPiece?: true
  /** says nothing of a glass that makes things larger so many times */
  isMagnified?: true
}
const one = (source: string, more: Partial<Pattern> = {}): Pattern => ({
  re: new RegExp(source, 'iu'),
  count: (m) => toNumber(m[1]),
  ...more,
})
const product = (m: RegExpExecArray) => toNumber(m[1]) * toNumber(m[2])

/** A number of pieces in one: '12 in a pack', '100 per bag', '6 pro Packung', '4 par boîte'. */
const perPack = `(?:in (?:a|one|each)|per|pro|je|par|por|na|w) (?:${container})`

/** In order: the first that is found counts. What they must not be taken for: sizes such as 12 inch, 30 x 40 cm, 500 ml. */
const patterns: Pattern[] = [
  one(`${start}(\\d{1,3}) ?\\+ ?(\\d{1,3}) (?:${free})${end}`, { count: (m) => Number(m[1]) + Number(m[2]) }),
  one(`${start}buy (\\d{1,3}) get (\\d{1,3}|one) free${end}`, {
    count: (m) => Number(m[1]) + (m[2] === 'one' ? 1 : toNumber(m[2])),
  }),
  one(`${start}${number} ?(?:[x×] )?(?:${container}) (?:${ofWord}) ?${number}${end}(?! ?[x×]| ?${size}${end})`, {
    count: product,
  }),
  one(`${start}(\\d{1,3}) ?(?:${piece}) ?[x×] ?(\\d{1,4})${end}(?! ?[x×]| ?${size}${end})`, { count: product }),
  one(`${start}(\\d{1,3}) ?[x×] ?(\\d{1,4}) ?(?:${piece})${end}`, { count: product }),
  one(`${start}(\\d{1,2}) ?[x×] ?(\\d{1,4}) (?!${size}${end})(?=${plural})`, { count: product }),
  one(
    `${start}(?:(?:${container}) (?:${ofWord}) ?|(?:${bareContainer}) )${number}${end}(?! ?[x×]| ?${size}${end}|[-’'.]| (?:${within}|in|inch)${end})`,
  ),
  one(`${start}${number}[ -]?(?:${packed})${end}`),
  one(`${start}(?:pack|pk|set|lot|qty|quantity|multipack)[ :x]{1,2}${number}${end}(?! ?(?:[x×]|${size}${end}))`),
  one(`${start}(\\d{1,3}) ?[x×] ?\\d+(?:[.,]\\d+)? ?(?:ml|cl|l|g|kg|oz|litre|litres)${end}`),
  one(`${start}(half[ -]?dozen)${end}`, { count: () => 6 }),
  one(`${start}(?:(\\d{1,2}|two|three) )?(?:${dozen})${end}`, { count: (m) => 12 * (m[1] ? toNumber(m[1]) : 1) }),
  ...namedPacks.map(([words, count]) => one(`${start}(?:${words})${end}`, { count: () => count })),
  one(`${start}(?:set|pack)/(\\d{1,3})${end}`),
  one(`${start}(\\d{1,3})/(?:pack|pk|set)${end}`),
  one(`${start}${number}[ -]?(?:${pair})${end}`, {
    count: (m) => toNumber(m[1]) * (isPairwise.test(m.input) ? 1 : 2),
  }),
  one(`${start}(?:a |1 )?(?:${pair})${end}(?! \\d)`, { count: (m) => (isPairwise.test(m.input) ? 0 : 2) }),
  one(`${start}${number}[ -]?(?:x )?(?:${piece}|${parts})${end}`, { isPiece: true }),
  one(`(?:^|[\\s(])[x×] ?(\\d{1,3})(?=$|[\\s),.;!])(?! ?${size}${end})`),
  one(`[\\[({](\\d{1,3}) (?:[\\p{L}-]+ )?[\\p{L}-]{3,}s[\\])}]`),
  one(`\\((\\d{1,3})\\)$`),
  one(`${start}par (\\d{1,3})${end}(?! ?(?:jours?|mois|ans?|heures?|minutes?|${size})${end})`),
  one(`(?:^|[\\s(,])(\\d{1,3}) ?[x×](?=$| ?[,;.)\\]]| [-–(\\[])`, { isMagnified: true }),
  one(`${start}${number} ${perPack}${end}`),
  one(`${start}(\\d{1,3}) sets${end}`),
  one(`^${number} (?!${within}${end})(?=${plural}|${otherPlural})`),
  one(`[^s\\P{L}]s (\\d{2,4})s${end}`),
  one(`^(${numberWord}) (?!${within}${end})(?=\\p{L}{3,})(?! in )`),
  one(`(?:^|[\\s(])(\\d{1,3}) ?[x×] (?=\\p{L}{3,}|A[3-6]${end})(?!(?:cm|mm|inch|litre|magnif|zoom))`),
]

/**
 * How many pieces a title says are in the pack, and the words that say so; null where it says nothing (then it is taken as
 * one, which is an assumption, not a finding). Sizes are not packs.
 *
 * @example findPackCount('Fat balls, 6 pcs, 90 g') // { count: 6, from: '6 pcs' }
 */
export function findPackCount(title: string): PackCount | null {
  if (!quantity.test(title)) return null
  const text = title.replace(/[\s_]+/g, ' ')
  const first = countFirst.exec(text)
  if (first) return { count: toNumber(first[1]), from: first[0].trim() }
  const spared = withoutSizes(text)
  for (const { re, count, isPiece, isMagnified } of patterns) {
    const m = re.exec(spared)
    if (!m || (isPiece && isOfPieces.test(text)) || (isMagnified && isGlass.test(text))) continue
    const found = count(m)
    if (found >= 1 && found <= 5000) return { count: found, from: text.slice(m.index, m.index + m[0].length).trim() }
  }
  return null
}

/** What every pattern needs: most titles have no figure, number in words, pair or dozen, and are asked no further. */
const quantity = new RegExp(
  `\\d|${start}(?:${numberWord}|${dozen}|${pair}|${namedPacks.map(([w]) => w).join('|')})`,
  'iu',
)

/** '100 x 9cm square pots': who begins with a size does not name several. */
const countFirst = new RegExp(`^(\\d{1,3}) ?[x×] (?=\\d+(?:[.,]\\d+)? ?(?:cm|mm|inch|in|ft) ${plural})`, 'iu')
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
const blank = (found: string) => ' '.repeat(found.length)

/** Sizes of several sides ('30 x 40 cm') blanked out, at the same length so that places still agree. */
function withoutSizes(text: string): string {
  return /\d ?(?:cm|mm|m|inch|inches|in|ft|")? ?[x×]/i.test(text)
    ? text.replace(sidesWithUnit, blank).replace(sidesAlone, blank)
    : text
}
