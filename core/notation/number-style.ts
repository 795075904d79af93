/** How a file writes numbers. `group` is '' where no thousands marks were seen. */
export interface NumberStyle {
  decimal: '.' | ','
  group: '' | '.' | ',' | ' ' | "'"
}

export interface NumberStyleGuess {
  style: NumberStyle
  /** false when every number in the file could be read both ways and the user must say */
  sure: boolean
  /** a number that shows the doubt */
  example: string | null
  /** how much speaks for the style; 0 where nothing does */
  votes: number
}

/** What texts say of how numbers are written; those of several columns can be added up. */
export interface NumberVotes {
  point: number
  comma: number
  group: NumberStyle['group']
  doubtful: string | null
}

/**
 * Reads the style off texts. A mark is the decimal mark where it comes last of two kinds, or is not followed by exactly three digits;
 * it groups thousands where it repeats. '1.234' alone proves nothing.
 */
export function numberVotes(texts: Iterable<string>): NumberVotes {
  const votes = { '.': 0, ',': 0 }
  let doubtful: string | null = null
  let group: NumberStyle['group'] = ''
  for (const raw of texts) {
    if (!hasMark.test(raw)) continue
    const text = bareNumber(raw)
    if (text === null) continue
    const spaced = /\d[ ']\d{3}/.exec(text)
    if (spaced) group = spaced[0].charAt(1) as NumberStyle['group']
    const marks = text.match(/[.,]/g) ?? []
    if (marks.length === 0) continue
    const last = marks.at(-1) as '.' | ','
    const tail = text.length - 1 - text.lastIndexOf(last)
    if (new Set(marks).size === 2) votes[last] += 3
    else if (marks.length > 1) votes[last === '.' ? ',' : '.'] += 3
    else if (tail !== 3 || /^-?0[.,]/.test(text)) votes[last] += 1
    else doubtful ??= text
  }
  return { point: votes['.'], comma: votes[','], group, doubtful }
}

const hasMark = /\d[.,' \u00a0\u202f]|[.,]\d/

/** The style that votes add up to. */
export function styleOfVotes(all: readonly NumberVotes[]): NumberStyleGuess {
  const sum = (of: (v: NumberVotes) => number) => all.reduce((n, v) => n + of(v), 0)
  const [point, comma] = [sum((v) => v.point), sum((v) => v.comma)]
  const decimal = comma > point ? ',' : '.'
  const doubtful = all.find((v) => v.doubtful !== null)?.doubtful ?? null
  const sure = point + comma > 0 || doubtful === null
  const group = all.find((v) => v.group !== '')?.group ?? (decimal === '.' ? ',' : '.')
  return { style: { decimal, group }, sure, example: sure ? null : doubtful, votes: Math.max(point, comma) }
}

/** The style of texts that belong together. */
export function guessNumberStyle(texts: Iterable<string>): NumberStyleGuess {
  return styleOfVotes([numberVotes(texts)])
}

const isIsoDay = /^\d{4}-\d{2}-/
// eslint-disable-next-line no-control-regex -- ASCII begins with control characters
const isAscii = /^[\x00-\x7f]*$/
/** begins as no currency does */
const isWordy = /^\p{L}{4}|^\p{Ll}{3}/u
const simple = /^-?\d+(?:[.,]\d+)?$/

/** thousands and millions as lists on screens shorten them: '45.3K', '1.2M' */
const shortened = /^(-?\d{1,3}(?:[.,]\d{1,2})?) ?([kKM])$/
/** what is counted, said behind the figure, in the eight languages */
const counted =
  /(?<=\d) (?:sold|units?|pcs|pieces|items?|orders?|sales|reviews?|ratings?|views?|likes?|watchers?|verkauft|verkäufe|stück|stk|bewertungen|aufrufe|vendue?s?|ventes|pièces|avis|vues|vendid[oa]s?|ventas|unidades|uds?|opiniones|visitas|vendut[oi]|vendite|pezzi|pz|recensioni|verkocht|stuks|beoordelingen|sprzedan[eoy]ch?|sztuk|szt|opinii|vendas|unid|peças|avaliações)\.?$/iu

/** stars of five */
const ofFive =
  /^([0-5](?:[.,]\d{1,2})?) ?(?:\/|out of|von|sur|de|su|van|z) ?5(?: stars?)?$|^([0-5](?:[.,]\d{1,2})?) stars?$/iu
const hasWord = /[\p{L}/]/u

/** Without the words that say what is counted, or in what. */
const withoutWords = (text: string) =>
  hasWord.test(text) ? text.replace(counted, '').replace(ofFive, '$1$2').replace(shortened, '$1') : text

/** no number that a person writes is longer */
const longest = 60

/** The digits and marks of a number in text, without signs of currency, percent and spaces at the ends; null where it is none. */
export function bareNumber(text: string): string | null {
  if (text.length > longest || !/\d/.test(text) || isWordy.test(text)) return null
  if (simple.test(text)) return text
  if (isIsoDay.test(text)) return null
  let bare = (isAscii.test(text) ? text : text.normalize('NFKC').replace(/[\u2212\u2013]/g, '-'))
    .replace(/\s+/g, ' ')
    .trim()
  const negative = (bare.startsWith('(') && bare.endsWith(')')) || bare.endsWith('-')
  bare = bare.replace(/^\(|\)$|-$/g, '').trim()
  bare = withoutWords(bare)
    .replace(/^([-+]?) ?(?:(?:[A-Z]{1,3} ?)?\p{Sc}|[A-Z]{3}|zł|kr|Fr)\.? ?/u, '$1')
    .replace(/ ?(?:[A-Z]{0,2}\p{Sc}|[A-Z]{3}|zł|Kč|kr|Fr|%)\.?$/u, '')
    .replace(/^\+/, '')
  if (!/^-?\d[\d.,' ]*$/.test(bare) && !/^-?[.,]\d+$/.test(bare)) return null
  return negative ? `-${bare}` : bare
}

/**
 * A number's text in plain form ('1234.5'), or null where it does not fit the style: groups must be of three digits, so a
 * date or a part number is not taken for a number.
 */
export function plainNumber(text: string, style: NumberStyle): string | null {
  // Most cells are plain figures: they are read without taking anything off them.
  if (simple.test(text)) {
    const mark = text.search(/[.,]/)
    if (mark < 0 || text[mark] === style.decimal)
      return mark < 0 || style.decimal === '.' ? text : text.replace(',', '.')
  }
  const bare = bareNumber(text)
  if (bare === null) return null
  const d = style.decimal === '.' ? '\\.' : ','
  const whole = style.group === '' ? '' : `|\\d{1,3}(?:[${style.group}${style.group === ' ' ? '' : ' '}']\\d{3})+`
  const m = new RegExp(`^(-?)(\\d+${whole})?(?:${d}(\\d+))?$`).exec(bare)
  if (!m || (m[2] === undefined && m[3] === undefined)) return null
  const digits = (m[2] ?? '0').replace(/\D/g, '')
  return lengthened(text, `${m[1]}${digits}${m[3] === undefined ? '' : `.${m[3]}`}`)
}

/** A plain number as many times as the letter behind its text says: '1.2' of '1.2K' is '1200'. */
function lengthened(text: string, plain: string): string {
  const letter = shortened.exec(text.trim())?.[2]
  if (letter === undefined) return plain
  const [whole = '', fraction = ''] = plain.split('.')
  return whole + fraction.padEnd(letter === 'M' ? 6 : 3, '0')
}

/** E4 of a plain number's text, exact (no floating point on the way); digits past the fourth are rounded half away from zero. */
export function e4OfPlain(plain: string): number | null {
  const m = /^(-?)(\d+)(?:\.(\d+))?$/.exec(plain)
  if (!m) return null
  const fraction = (m[3] ?? '').padEnd(5, '0')
  const e4 = Number(m[2]) * 10_000 + Number(fraction.slice(0, 4)) + (Number(fraction[4]) >= 5 ? 1 : 0)
  if (!Number.isSafeInteger(e4)) return null
  return m[1] === '-' && e4 !== 0 ? -e4 : e4
}
