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
import { end, start, titlePattern, type Listed } from './title-patterns'

/** a number in figures or in words */
const number = `(\\d{1,4}|${numberWord})`
const size = '(?:cm|mm|m|ml|cl|l|g|kg|oz|inch|in|ft|"|litres?|liters?)'
/** A word or a few, the last of them in the plural. */
export const plural = '(?:[\\p{L}-]+ ){0,4}[\\p{L}-]*[^s\\P{L}]s\\b'
/** Plurals of other languages, told by what stands behind them: 'penne a sfera', 'Halter aus Messing', 'kaarsen'. */
const otherPlural = [
  '\\p{L}{3,}[aei] (?:\\p{L}{3,}[aei]|a|di|da|per|con)\\b',
  '\\p{L}{4,} (?:aus|für|mit|zum|zur)\\b',
  '\\p{L}{3,}(?<!gard|kitch|lin|wood|gold|scre|wov)en\\b(?! \\p{L}+s\\b)',
].join('|')
const all = (parts: string) => titlePattern(`${start}(?:${parts})${end}`)
const isPairwise = all(pairwise)
const ofPieces = all(madeOfPieces)
const ofGlasses = all(magnifying)

/** A way of saying how many are in a pack. */
export interface PackPattern extends Listed {
  count: (m: RegExpExecArray) => number
  /** says nothing of titles that have words of these: of one thing that is made of many pieces, of a glass that makes things larger so many times */
  notOf?: RegExp
}
const listed =
  (begin: string, place: Pick<Listed, 'isAnywhere'> = {}) =>
  (rest: string, more: Partial<PackPattern> = {}): PackPattern => ({
    begin,
    rest,
    count: (m) => toNumber(m[1]),
    ...place,
    ...more,
  })
const anywhere = listed('', { isAnywhere: true })
const atWord = listed('')
const atNumber = listed(number)
const atFigure = listed('(\\d{1,3})')
const product = (m: RegExpExecArray) => toNumber(m[1]) * toNumber(m[2])

/** A number of pieces in one: '12 in a pack', '100 per bag', '6 pro Packung', '4 par boîte'. */
const perPack = `(?:in (?:a|one|each)|per|pro|je|par|por|na|w) (?:${container})`

/** In order: the first that is found counts. What they must not be taken for: sizes such as 12 inch, 30 x 40 cm, 500 ml. */
export const packPatterns: PackPattern[] = [
  atFigure(` ?\\+ ?(\\d{1,3}) (?:${free})${end}`, { count: (m) => Number(m[1]) + Number(m[2]) }),
  atWord(`buy (\\d{1,3}) get (\\d{1,3}|one) free${end}`, {
    count: (m) => Number(m[1]) + (m[2] === 'one' ? 1 : toNumber(m[2])),
  }),
  atNumber(` ?(?:[x×] )?(?:${container}) (?:${ofWord}) ?${number}${end}(?! ?[x×]| ?${size}${end})`, {
    count: product,
  }),
  atFigure(` ?(?:${piece}) ?[x×] ?(\\d{1,4})${end}(?! ?[x×]| ?${size}${end})`, { count: product }),
  atFigure(` ?[x×] ?(\\d{1,4}) ?(?:${piece})${end}`, { count: product }),
  atWord(`(\\d{1,2}) ?[x×] ?(\\d{1,4}) (?!${size}${end})(?=${plural})`, { count: product }),
  atWord(
    `(?:(?:${container}) (?:${ofWord}) ?|(?:${bareContainer}) )${number}${end}(?! ?[x×]| ?${size}${end}|[-’'.]| (?:${within}|in|inch)${end})`,
  ),
  atNumber(`[ -]?(?:${packed})${end}`),
  atWord(
    `(?:pack|pk|set|lot|qty|quantity|multipack)[ :x]{1,2}${number}${end}(?! ?(?:[x×]|${size}${end})| ${within}${end})`,
  ),
  // the size of one stays in the title: '2 x 5 kg' is another good than '2 x 3 kg'
  atFigure(` ?[x×](?= ?\\d+(?:[.,]\\d+)? ?(?:ml|cl|l|g|kg|oz|litre|litres)${end})`),
  atWord(`(half[ -]?dozen)${end}`, { count: () => 6 }),
  atWord(`(?:(\\d{1,2}|two|three) )?(?:${dozen})${end}`, { count: (m) => 12 * (m[1] ? toNumber(m[1]) : 1) }),
  ...namedPacks.map(([words, count]) => atWord(`(?:${words})${end}`, { count: () => count })),
  atWord(`(?:set|pack)/(\\d{1,3})${end}`),
  atFigure(`/(?:pack|pk|set)${end}`),
  atNumber(`[ -]?(?:${pair})${end}`, {
    count: (m) => toNumber(m[1]) * (isPairwise.test(m.input) ? 1 : 2),
  }),
  atWord(`(?:a |1 )?(?:${pair})${end}(?! \\d)`, { count: (m) => (isPairwise.test(m.input) ? 0 : 2) }),
  atNumber(`[ -]?(?:x )?(?:${piece}|${parts})${end}`, { notOf: ofPieces }),
  anywhere(`(?:^|[\\s(])[x×] ?(\\d{1,3})(?=$|[\\s),.;!])(?! ?${size}${end})`),
  anywhere(`[\\[({](\\d{1,3}) (?:[\\p{L}-]+ )?[\\p{L}-]{3,}s[\\])}]`),
  anywhere(`\\((\\d{1,3})\\)$`),
  atWord(`par (\\d{1,3})${end}(?! ?(?:jours?|mois|ans?|heures?|minutes?|${size})${end})`),
  anywhere(`(?:^|[\\s(,])(\\d{1,3}) ?[x×](?=$| ?[,;.)\\]]| [-–(\\[])`, { notOf: ofGlasses }),
  atNumber(` ${perPack}${end}`),
  atFigure(` sets${end}`),
  anywhere(`^${number} (?!${within}${end})(?=${plural}|${otherPlural})`),
  anywhere(`[^s\\P{L}]s (\\d{2,4})s${end}`),
  anywhere(`^(${numberWord}) (?!${within}${end})(?=\\p{L}{3,})(?! in )`),
  anywhere(`(?:^|[\\s(])(\\d{1,3}) ?[x×] (?=\\p{L}{3,}|\\p{L}\\d|aaa?${end})(?!(?:cm|mm|inch|litre|magnif|zoom))`),
]
