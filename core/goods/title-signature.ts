import { packIn } from './pack-count'
import { SaidWords } from './said-words'
import { lengthsApart } from './sizes'
import { asciiPattern, isAscii, singleSpaced, start, titlePattern, withoutAccents } from './title-patterns'
import { TokenReader } from './title-tokens'

/** What a title says, taken apart: what must agree (sizes, colours, pack, marks) and what may differ (words). */
export interface TitleSignature {
  /** '!lid' for something, '+lid' with one, 'lid' where neither is said */
  words: string[]
  /** figures with their unit, '600mm', '500g', '400x140mm'; '7#' has none */
  sizes: string[]
  colours: string[]
  /** 'lid' where one is part of it, or what it is; '-lid' without one; 'instead', 'pro', 'rear', 'size l' */
  marks: string[]
  pack: number
  /** of what is said to be for something, the words before 'for': what it is; left out elsewhere */
  heads?: string[]
}

/** Takes a title apart. Case, accents, order and shouting do not count. */
export function titleSignature(title: string): TitleSignature {
  const { words, sizes, colours, marks, ...rest } = titleParts(title)
  return { words: words.sort(), sizes: sizes.sort(), colours: colours.sort(), marks: marks.sort(), ...rest }
}

/** The same, everything in the order of the title. @param said takes what is said: where a million titles are read it is the same, cleared */
export function titleParts(title: string, said = new SaidWords()): TitleSignature {
  const isPlain = isAscii(title)
  const folded = foldedOf(title, isPlain)
  const pack = packIn(folded, isPlain)
  said.read(pack ? folded.replace(pack.from.trim(), ' ') : folded, isPlain)
  const { words, sizes, colours, marks, heads } = said
  const parts = { words, sizes: sizes.sizes, colours, marks, pack: pack?.count ?? 1 }
  return heads.length > 0 ? { ...parts, heads: [...heads] } : parts
}

/** Case and accents off; what is one word in parts is put together ('usb-c', 'non stick'), and "men's" is men. */
function foldedOf(title: string, isPlain = isAscii(title)): string {
  const plain = singleSpaced(isPlain ? title : withoutAccents(title)).toLowerCase()
  const stated = negated.test(plain) ? plain.replace(notIncluded, 'without $1') : plain
  const whole = mayBeParted.test(stated)
    ? stated.replace(isPlain ? partedInAscii : parted, (pair) => pair.replace(/[- ]/, ''))
    : stated
  return whole.includes("'") || whole.includes('’')
    ? whole.replace(/['’]s(?![\p{L}\p{N}])/gu, '').replace(/(?<![\p{L}\p{N}])[dlsn]['’]/gu, '')
    : whole
}
const negation =
  ' n(?:ot included|icht (?:enthalten|inklusive|dabei)|on inclus[eao]?|o incluid[ao]s?|iet inbegrepen|ao incluid[ao]s?)'
const negated = new RegExp(negation)
/** 'pot not included' */
const notIncluded = titlePattern(`(\\p{L}+)(?: is| are)?${negation}`, 'g')
const partedBy =
  '(?:non|anti|pre|self|semi|wi)[- ](?=[a-z])|cat[- ](?=\\d)|t[- ](?=shirt)|(?:usb|type)[- ](?=[abc](?![a-z\\d]))'
/** without a look at what stands before it, which is quicker */
const mayBeParted = new RegExp(partedBy)
const parted = titlePattern(`${start}(?:${partedBy})`, 'g')
const partedInAscii = asciiPattern(`${start}(?:${partedBy})`, 'g')

/**
 * Words as titles write them, in the order of the titles, without case and accents; a word that is not found stays as it is.
 *
 * @param words as signatures have them
 */
export function asWritten(words: readonly string[], titles: readonly string[]): string[] {
  const places = new Map<string, { at: number; written: string }>()
  const tokens = new TokenReader(({ word }, written) => {
    if (word !== null && !places.has(word)) places.set(word, { at: places.size, written })
  })
  for (const title of titles) tokens.read(foldedOf(title), isAscii(title))
  const found = words.map((word) => {
    const plain = word.replace(/^[+!]/, '')
    return places.get(plain) ?? { at: places.size, written: plain }
  })
  return [...new Set(found.sort((a, b) => a.at - b.at).map(({ written }) => written))]
}

/** One text for all titles that say the same. */
export function signatureKey(s: TitleSignature): string {
  return [s.words.join(' '), figuresKey(s)].join('\u0001')
}

/** One text for all that must agree; '' where nothing is said. */
export function figuresKey({ sizes, colours, marks, pack }: TitleSignature): string {
  if (sizes.length + colours.length + marks.length === 0 && pack === 1) return ''
  return `${inOrder(lengthsApart(sizes))}\u0001${inOrder(colours)}\u0001${pack}\u0001${inOrder(marks)}`
}
const inOrder = (list: readonly string[]) => (list.length > 1 ? [...list].sort().join() : (list[0] ?? ''))
