/** What stands before a word or figure and behind it, of any alphabet: the platform's own boundary knows that of English alone. */
export const start = '(?<![\\p{L}\\d])'
export const end = '(?![\\p{L}\\d])'

// eslint-disable-next-line no-control-regex -- what is asked is whether there is anything beyond them
const beyondAscii = /[^\x00-\x7f]/
export const isAscii = (text: string): boolean => !beyondAscii.test(text)

/** Letters that no accent is taken off by Unicode's decomposition, as they are written where they are wanting. */
const plainLetters: Record<string, string> = {
  ...{ ß: 'ss', ł: 'l', ø: 'o', æ: 'ae', œ: 'oe', đ: 'd', ı: 'i' },
  ...{ ẞ: 'SS', Ł: 'L', Ø: 'O', Æ: 'AE', Œ: 'OE', Đ: 'D' },
}
const specialLetter = new RegExp(`[${Object.keys(plainLetters).join('')}]`, 'g')

/** Accents off: 'größe' is 'grosse', 'żyłka' is 'zylka'. */
export const withoutAccents = (text: string): string =>
  isAscii(text)
    ? text
    : text
        .normalize('NFD')
        .replace(/\p{M}/gu, '')
        .replace(specialLetter, (letter) => plainLetters[letter] as string)

/** Other gaps than single spaces as such. */
export const singleSpaced = (text: string): string =>
  isUnusual.test(text) || text.includes('  ') ? text.replace(/[\s_]+/g, ' ') : text
/** what no plain line of text has: tabs and other gaps, letters beyond ASCII, '_' */
const isUnusual = /[^ -^`-~]/

/** A pattern for titles of any alphabet, in small letters and without accents. */
export const titlePattern = (source: string, flags = ''): RegExp => new RegExp(withoutAccents(source), `u${flags}`)
/** The same for plain ASCII, as most titles of some languages are: it needs no tables of letters. */
export const asciiPattern = (source: string, flags = ''): RegExp =>
  new RegExp(
    withoutAccents(source)
      .replaceAll('[^s\\P{L}]', '[a-rt-z]')
      .replaceAll('\\p{N}', '\\d')
      .replaceAll('[\\p{L}', '[a-z')
      .replaceAll('\\p{L}', '[a-z]'),
    flags,
  )

/** A pattern in a list. */
export interface Listed {
  /** what it shares with others of the list: that is looked for once for all of them; '' where nothing */
  begin: string
  rest: string
  /** it may begin within a word too; what does not is looked for at the start of words and figures alone */
  isAnywhere?: true
}

/**
 * Patterns that are tried in their order, each at the first place where it holds. One look for all of them together finds the places where any
 * begins: most titles have one or two, so that thirty patterns cost little more than one.
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
    const { any, each } = isPlain ? this.#ofAscii : this.#ofAny
    const places = placesOf(any, text)
    if (places.length === 0) return null
    for (let i = 0; i < each.length; i++) {
      const match = firstAt(each[i] as RegExp, text, places)
      const made = match && make(this.#patterns[i] as P, match)
      if (made !== null) return made
    }
    return null
  }
}

interface Compiled {
  /** finds where any holds */
  any: RegExp
  /** asks of one place */
  each: RegExp[]
}

function compiled(patterns: readonly Listed[], compile: typeof asciiPattern): Compiled {
  const [anywhere, atStart] = [patterns.filter((p) => p.isAnywhere), patterns.filter((p) => !p.isAnywhere)]
  const union = [`${start}(?:${oneOf(atStart)})`, ...(anywhere.length > 0 ? [oneOf(anywhere)] : [])].join('|')
  // no part of it is asked for
  const parts = /(?<!\\)\((?!\?)/g
  const whole = (p: Listed) => (p.isAnywhere ? '' : start) + p.begin + p.rest
  return { any: compile(union.replace(parts, '(?:'), 'g'), each: patterns.map((p) => compile(whole(p), 'y')) }
}

function oneOf(patterns: readonly Listed[]): string {
  const begins = [...new Set(patterns.map((p) => p.begin))]
  const restsOf = (begin: string) => patterns.filter((p) => p.begin === begin).map((p) => p.rest)
  return begins.map((begin) => `${begin}(?:${restsOf(begin).join('|')})`).join('|')
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

function firstAt(re: RegExp, text: string, places: readonly number[]): RegExpExecArray | null {
  for (const place of places) {
    re.lastIndex = place
    const match = re.exec(text)
    if (match) return match
  }
  return null
}
