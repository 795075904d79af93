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
