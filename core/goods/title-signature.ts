import { findPackCount } from './pack-count'

/** What a title says, taken apart: what must agree (sizes, colours, pack) and what may differ (words). */
export interface TitleSignature {
  words: string[]
  /** figures with their unit, '600mm', '500g', '40x14cm'; '7#' has none */
  sizes: string[]
  colours: string[]
  pack: number
}

const noise = new Set(
  'a an and the of for with in on to by from your our new brand genuine quality premium best great top free delivery shipping postage fast gift ideal perfect uk eu ireland irish sale offer hot rare lovely beautiful unique item product pack set pcs pieces piece lot x pk ct pair dozen twin count un und mit de la le'.split(
    ' ',
  ),
)
const colours = new Set(
  'black white red green blue yellow orange purple pink brown grey olive sage terracotta natural clear cream navy teal copper silver gold anthracite turquoise rust mustard charcoal ochre'.split(
    ' ',
  ),
)
/** Whether a word, case folded, names a colour. */
export const isColour = (w: string) => colours.has(w)

const spelling: Record<string, string> = {
  gray: 'grey',
  transparent: 'clear',
  colour: 'color',
  grün: 'green',
  litre: 'l',
  litres: 'l',
  liter: 'l',
  inch: 'in',
  inches: 'in',
  grams: 'g',
  gram: 'g',
  cms: 'cm',
}
const unit = 'mm|cm|m|ml|cl|l|g|kg|oz|in|ft|w|v|litres|litre|liter|inches|inch|grams|gram|cms'

const sidesOf = new RegExp(`(?<!\\d)(\\d{1,9}) ?[x×] ?(\\d{1,9})(?: ?[x×] ?(\\d{1,9}))? ?(${unit})(?!\\p{L})`, 'gu')
const sizeOf = new RegExp(`(?<!\\d)(\\d{1,9}(?:[.,]\\d{1,9})?) ?(${unit})(?!\\p{L})`, 'gu')
const figureAlone = /(?<![\p{L}\p{N}])(\d+)(?![\p{L}\p{N}])/gu

/** Takes a title apart. Case, accents, order and shouting do not count. */
export function titleSignature(title: string): TitleSignature {
  const { words, sizes, colours, pack } = titleParts(title)
  return { words: words.sort(), sizes: sizes.sort(), colours: colours.sort(), pack }
}

/**
 * The same, everything in the order of the title.
 *
 * @param read which word a token stands for: `wordOfToken`, or a memory of it where many titles are read
 */
export function titleParts(title: string, read: (token: string) => string | null = wordOfToken): TitleSignature {
  const folded = foldedOf(title)
  const pack = findPackCount(folded)
  const { rest, sizes } = withoutSizes(pack ? folded.replace(pack.from.toLowerCase(), ' ') : folded)
  const [words, named]: [string[], string[]] = [[], []]
  for (const token of tokensOf(rest)) {
    const word = read(token)
    if (word === null) continue
    const list = colours.has(word) ? named : words
    if (!list.includes(word)) list.push(word)
  }
  return { words, sizes, colours: named, pack: pack?.count ?? 1 }
}
function tokensOf(text: string): readonly string[] {
  return (isAscii.test(text) ? text.match(/[a-z0-9]+/g) : text.match(/[\p{L}\p{N}]+/gu)) ?? []
}

function foldedOf(title: string): string {
  // plain ASCII, as nearly all titles of some languages are, has no accents to be taken off
  const plain = isAscii.test(title) ? title : title.normalize('NFD').replace(/\p{M}/gu, '')
  return plain.toLowerCase()
}
// eslint-disable-next-line no-control-regex -- what is asked is whether there is anything beyond them
const isAscii = /^[\x00-\x7f]*$/

function withoutSizes(text: string): { rest: string; sizes: string[] } {
  if (!digit.test(text)) return { rest: text, sizes: [] }
  const sizes = new Set<string>()
  let rest = text
  const take = (re: RegExp, make: (m: string[]) => string) => {
    rest = rest.replace(re, (...m: string[]) => {
      sizes.add(make(m))
      return ' '
    })
  }
  if (severalSides.test(text)) take(sidesOf, (m) => `${[m[1], m[2], m[3]].filter(Boolean).join('x')}${asUnit(m[4])}`)
  take(sizeOf, (m) => inBaseUnit(Number(m[1]?.replace(',', '.')), asUnit(m[2])))
  // '7pockets' is '7 pockets'; a number after letters, or before one or two, is a name ('A4', '3d')
  rest = rest.replace(countedWord, '$1 $2')
  // Any other figure ('zone 7', '12 cells') tells goods apart as a size does.
  if (digit.test(rest)) take(figureAlone, (m) => `${Number(m[1])}#`)
  return { rest, sizes: [...sizes] }
}
const digit = /\d/
const countedWord = /(?<![\p{L}\p{N}])(\d{1,3})(\p{L}{3,})/gu
const severalSides = /\d ?[x×] ?\d/

/** The word that a token stands for; null where it says nothing of the goods. */
export function wordOfToken(token: string): string | null {
  const word = singular(spelling[token] ?? token)
  return noise.has(word) || (word.length === 1 && !/\d/.test(word)) ? null : word
}

const base: Record<string, [string, number]> = {
  kg: ['g', 1000],
  l: ['ml', 1000],
  cl: ['ml', 10],
  m: ['mm', 1000],
  cm: ['mm', 10],
}

/** 1 kg and 1000 g are the same size. */
function inBaseUnit(value: number, unit: string): string {
  const [to, factor] = base[unit] ?? [unit, 1]
  return `${Math.round(value * factor * 100) / 100}${to}`
}

function asUnit(text: string | undefined): string {
  return spelling[text ?? ''] ?? text ?? ''
}

function singular(word: string): string {
  if (word.length > 4 && word.endsWith('ies')) return `${word.slice(0, -3)}y`
  return word.length > 3 && word.endsWith('s') && !word.endsWith('ss') ? word.slice(0, -1) : word
}

/** One text for all titles that say the same. */
export function signatureKey(s: TitleSignature): string {
  return [s.words.join(' '), s.sizes.join(' '), s.colours.join(' '), s.pack].join('\u0001')
}
