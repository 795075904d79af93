import { asciiPattern, isAscii, start, titlePattern } from './title-patterns'

/** A pattern in a list. */
export interface Listed {
  /** what it shares with others of the list: that is looked for once for all of them; '' where nothing */
  begin: string
  rest: string
  /** the words and figures with which it begins, as alternatives; left out where it may begin anywhere, within a word too */
  first?: string
}

/**
 * Patterns that are tried in their order, each at the first place where it holds. Words with which any begins are looked for first, and there
 * whether any holds: most titles have one or two such places, so that thirty patterns cost little more than one.
 */
export class OrderedPatterns<P extends Listed> {
  readonly #patterns: readonly P[]
  readonly #ofAny: Compiled
  readonly #ofAscii: Compiled

  constructor(patterns: readonly P[]) {
    this.#patterns = patterns
    this.#ofAny = compiled(patterns, titlePattern)
    this.#ofAscii = compiled(patterns, asciiPattern)
  }

  /** What is made of the first pattern that holds and of which something is made; null where there is none. @param text in small letters */
  first<T>(text: string, make: (pattern: P, match: RegExpExecArray) => T | null, isPlain = isAscii(text)): T | null {
    const { words, atWord, anywhere, each } = isPlain ? this.#ofAscii : this.#ofAny
    const [placesOfWords, otherPlaces] = [placesAtWord(words, atWord, text), placesOf(anywhere, text)]
    if (placesOfWords.length + otherPlaces.length === 0) return null
    for (let i = 0; i < each.length; i++) {
      const one = each[i] as One
      const match = firstAt(one, text, one.isAtWord ? placesOfWords : otherPlaces)
      const made = match && make(this.#patterns[i] as P, match)
      if (made !== null) return made
    }
    return null
  }
}

interface Compiled {
  /** finds where a word begins as any pattern does: the first letter of it */
  words: RegExp
  /** asks of such a place whether any holds */
  atWord: RegExp
  /** finds where any of the others holds */
  anywhere: RegExp
  each: One[]
}

interface One {
  /** asks of one place */
  re: RegExp
  isAtWord: boolean
  /** whether it may begin with a digit, and with anything else */
  withDigit: boolean
  withOther: boolean
}

function compiled(patterns: readonly Listed[], compile: typeof asciiPattern): Compiled {
  const atWord = patterns.filter((p) => p.first !== undefined)
  const beginnings = [...new Set(atWord.flatMap((p) => beginningsOf(p.first ?? '')))].sort()
  return {
    words: compile(`${start}(?=${beginnings.join('|')})[\\p{L}\\d]`, 'g'),
    atWord: compile(oneOf(atWord), 'y'),
    anywhere: compile(oneOf(patterns.filter((p) => p.first === undefined)), 'g'),
    each: patterns.map(({ begin, rest, first }): One => {
      const own = beginningsOf(first ?? '')
      const digits = own.filter((b) => ofDigits.test(b)).length
      return {
        re: compile((first === undefined ? '' : start) + begin + rest, 'y'),
        isAtWord: first !== undefined,
        withDigit: first === undefined || digits > 0,
        withOther: first === undefined || digits < own.length,
      }
    }),
  }
}

/** The first four letters of each alternative, fewer of those that may end before; of a group of alternatives within, those of each part. */
const beginningsOf = (first: string): string[] =>
  Array.from(first.matchAll(/(?<=^|[|(:])(?:\\d|\d|\p{L}{1,4}(?![?*{]))/gu), ([found]) => found)
const ofDigits = /\d|\\d/

function oneOf(patterns: readonly Listed[]): string {
  if (patterns.length === 0) return '(?!)'
  const begins = [...new Set(patterns.map((p) => p.begin))]
  const restsOf = (begin: string) => patterns.filter((p) => p.begin === begin).map((p) => p.rest)
  const union = begins.map((begin) => `${begin}(?:${restsOf(begin).join('|')})`).join('|')
  // no part of it is asked for
  return union.replace(/(?<!\\)\((?!\?)/g, '(?:')
}

function placesAtWord(words: RegExp, atWord: RegExp, text: string): number[] {
  const places: number[] = []
  words.lastIndex = 0
  while (words.test(text)) {
    const place = words.lastIndex - 1
    atWord.lastIndex = place
    if (atWord.test(text)) places.push(place)
  }
  return places
}

/** Every place where a pattern holds, those within what is found before too. */
function placesOf(any: RegExp, text: string): number[] {
  const places: number[] = []
  any.lastIndex = 0
  for (let found = any.exec(text); found; found = any.exec(text)) {
    places.push(found.index)
    any.lastIndex = found.index + 1
  }
  return places
}

function firstAt({ re, withDigit, withOther }: One, text: string, places: readonly number[]): RegExpExecArray | null {
  for (let i = 0; i < places.length; i++) {
    const place = places[i] as number
    if (!(isDigit(text, place) ? withDigit : withOther)) continue
    re.lastIndex = place
    const match = re.exec(text)
    if (match) return match
  }
  return null
}

const isDigit = (text: string, at: number) => text.charCodeAt(at) >= 48 && text.charCodeAt(at) <= 57
