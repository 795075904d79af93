import { isCurrencyCode, recogniseCurrency } from '../../money'

/** A heading taken apart: words to know a field by, and what it says beside them. */
export interface Heading {
  /** lower-case words without accents, marks, currencies, and numbers of days */
  words: string[]
  /** days that a figure under it counts over; null where it names none */
  window: number | null
  /** ISO 4217 */
  currency: string | null
  /** its figures are percent */
  percent: boolean
  /** the same as one word: 'ArtNr', 'MwSt' and 'Art. Nr' are written in many ways */
  joined: string
  /** it says nothing: 'Column 3', 'F7', 'Spalte C' */
  useless: boolean
}

const dayUnits = new Set(
  'd day days t tg tage tagen j jour jours dia dias gg giorni giorno dag dagen dni dzien dn'.split(' '),
)
const longUnits: Record<string, number> = {
  ...unit(7, 'w wk wks week weeks weekly woche wochen semaine semaines semana semanas settimana settimane weken tydzien tyg'),
  ...unit(30, 'm mo mon month months monthly monat monate monats mois mensuel mensuelles mensuales mes meses mese mesi maand maanden miesiac mies mensili mensais'),
  ...unit(365, 'y yr year years yearly jahr annee ano anno jaar rok'),
} // prettier-ignore
/** codes that are words of no language here, so that they are known in small letters too */
const commonCodes = new Set(
  'eur usd gbp cad aud nzd chf pln czk huf sek nok dkk jpy cny inr brl mxn zar ron'.split(' '),
)
const nothing =
  /^(?:(?:column|columns|col|field|spalte|feld|colonne|champ|columna|campo|colonna|kolom|veld|kolumna|pole|coluna|unnamed|var|attribute|attr) ?(?:\d{1,4}|[a-z]{1,2})?|[fcvx] ?\d{1,4}|[a-z]|\d{1,4}|)$/

function unit(days: number, words: string): Record<string, number> {
  return Object.fromEntries(words.split(' ').map((w) => [w, days]))
}

/**
 * Takes a heading apart: at spaces, case, underscores, digits and brackets, with window, currency and percent taken out of it.
 *
 * @example readHeading('sellingPriceCAD').words // ['selling', 'price']
 * @example readHeading('Ventes 30 j') // { words: ['ventes'], window: 30, … }
 */
export function readHeading(text: string): Heading {
  const short = text.slice(0, 200).normalize('NFKC')
  const currency = currencyIn(short)
  const percent =
    /%|(?<![a-z])pct(?![a-z])|percent|prozent|pourcent|porcentaje|percentual|procent/i.test(short) ||
    /[a-z]Pct/.test(short)
  const spaced = short
    .replace(/(\p{Ll})(\p{Lu})/gu, '$1 $2')
    .replace(/(\p{Lu})(\p{Lu}\p{Ll})/gu, '$1 $2')
    .replace(/(\p{L})(\d)/gu, '$1 $2')
    .replace(/(\d)(\p{L})/gu, '$1 $2')
    .replace(/#/g, ' nr ')
    .replace(/%/g, ' pct ')
  const words = joinLetters(
    fold(spaced)
      .split(/[^\p{L}\p{N}]+/u)
      .filter((w) => w !== '' && !(currency && isCode(w, currency))),
  )
  const { window, left } = windowIn(words)
  const plain = left.filter((w) => !/^\d+$/.test(w)).flatMap(inParts)
  return {
    words: plain,
    joined: plain.join(''),
    window,
    currency,
    percent,
    useless: nothing.test(
      fold(spaced)
        .replace(/[^\p{L}\p{N}]+/gu, ' ')
        .trim(),
    ),
  }
}

// eslint-disable-next-line no-control-regex -- ASCII begins with control characters
const isAscii = /^[\x00-\x7f]*$/

/** Lower case, without accents. */
export function fold(text: string): string {
  const small = text.toLowerCase()
  if (isAscii.test(small)) return small.replace(/([aou])e/g, '$1')
  return (
    small
      .normalize('NFD')
      .replace(/\p{M}/gu, '')
      .replace(/ł/g, 'l')
      .replace(/ß/g, 'ss')
      .replace(/œ/g, 'oe')
      .replace(/ø/g, ' avg ')
      // umlauts written out
      .replace(/([aou])e/g, '$1')
  )
}

function isCode(word: string, currency: string): boolean {
  return word === currency.toLowerCase()
}

/** A currency's code or sign in a heading; a code in small letters only where it is no word of a language. */
function currencyIn(text: string): string | null {
  const parts = text.replace(/(\p{Ll})(\p{Lu})/gu, '$1 $2').split(/[^\p{L}]+/u)
  const shouts = text === text.toUpperCase()
  for (const part of parts) {
    const isCodeLike =
      part.length === 3 && (commonCodes.has(part.toLowerCase()) || (!shouts && part === part.toUpperCase()))
    if (isCodeLike && isCurrencyCode(part.toUpperCase())) return part.toUpperCase()
  }
  const sign = /\p{Sc}|zł|Kč/u.test(text) ? recogniseCurrency(text) : null
  return sign?.sure ? sign.currency : null
}

/** Letters that stand alone in a row are one word: 'P.V.P.' is 'pvp'. */
function joinLetters(words: string[]): string[] {
  const joined: string[] = []
  let letters = ''
  const flush = () => {
    if (letters !== '') joined.push(letters)
    letters = ''
  }
  for (const word of words) {
    if (/^\p{L}$/u.test(word)) letters += word
    else {
      flush()
      joined.push(word)
    }
  }
  flush()
  return joined
}

/** words for "number", which are one word here */
const numberWords = new Set('nr nummer number numero num numer no'.split(' '))

/** 'Artikelnummer' and 'Artikelnr' are 'artikel nr', as 'item no' is 'item nr'. */
function inParts(word: string): string[] {
  if (numberWords.has(word)) return ['nr']
  const m = /^(\p{L}{3,24}?)(?:nummer|nr)$/u.exec(word)
  return m ? [m[1] as string, 'nr'] : [word]
}

/** Takes 'last 30 days' and its like out; 'month' alone stays a word, as it may be the column's own meaning. */
function windowIn(words: string[]): { window: number | null; left: string[] } {
  for (const [i, word] of words.entries()) {
    const n = Number(word)
    const next = words[i + 1] ?? ''
    if (/^\d{1,3}$/.test(word) && n > 0) {
      const days = dayUnits.has(next) ? n : (longUnits[next] ?? 0) * n
      if (days > 0) return { window: days, left: [...words.slice(0, i), ...words.slice(i + 2)] }
    }
  }
  const lone = words.find((w) => Object.hasOwn(longUnits, w) && w.length > 2)
  const bare = words.find((w) => w === '30' || w === '90' || w === '365' || w === '7')
  return { window: lone ? (longUnits[lone] as number) : bare ? Number(bare) : null, left: words }
}
