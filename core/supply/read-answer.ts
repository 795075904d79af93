import { isCurrencyCode, recogniseCurrency } from '../money'
import { daysIn, e4OfPlain, guessNumberStyle, plainNumber, type NumberStyle, type Tier } from '../notation'
import type { QuoteAnswer } from './quote'

/** What a text was understood to say; null where it does not, and no tiers where it names no price. Money in its own currency. */
export type AnswerRead = Omit<QuoteAnswer, 'on' | 'note' | 'pack' | 'currency'> & { currency: string | null }

const nothing: AnswerRead = {
  tiers: [],
  currency: null,
  minOrder: null,
  deliveryE4: null,
  leadDays: null,
  sampleE4: null,
}

/** no answer of a supplier is longer, in letters; what comes behind is not read */
const mostRead = 20_000

const word = (inside: string) => new RegExp(`(?<!\\p{L})(?:${inside})`, 'iu')

/** What a clause speaks of, by how its words begin in the eight languages. */
const sample = word(
  'samples?|muster|échantillon|echantillon|muestra|campion|monster|proefexemplaar|próbk|probk|amostra',
)
const delivery = word(
  'shipping|ship(?:ment|ped)?(?!\\p{L})|freight|postage|p&p|carriage|deliver|courier|versand|porto(?!\\p{L})|fracht|liefer|frais de port|port(?= ?:)|livraison|transport|envío|envio|portes|flete|entrega|spedizione|trasporto|consegna|verzend|vracht|bezorg|levering|wysyłk|dostaw|frete',
)
const free = word(
  'free|gratis|kostenlos|kostenfrei|versandkostenfrei|portofrei|gratuit|offert|grátis|gratuit|darmow|inclus(?:ive)?|included|franco',
)
const least = word(
  'min(?!\\p{L}|ut)|min\\.|minim|minimaal|minimal|mindest|mínim|moq|mininum|at least|least order|au moins|al menos|almeno|ten minste|co najmniej|pelo menos',
)
const noDays = word(
  'warrant|guarant|garant|valid|gültig|valable|válid|closed|geschlossen|fermé|net \\d|payment terms|come back|reply|antwort|within office',
)
const dayUnit =
  '(?:working |business |calendar |jours ouvr|dni robocz)?(?:days?|werktag|arbeitstag|tage?n?|jours?|días?|dias?|giorn|werkdag|dage?n|dni|dzień|dn[ií]|weeks?|wks?|wochen?|semaines?|semanas?|settiman|we(?:ek|ken)|tydzie|tygod|months?|monate?|hours?|stunden|heures|horas|uur)'
const someDays = new RegExp(
  `(\\d{1,3}(?:\\s?(?:-|–|~|—|to|bis|à|a|al?|tot|do|até|and|und)\\s?\\d{1,3})?)\\s?\\+?\\s?${dayUnit}\\p{L}*`,
  'iu',
)
const daysThenFigure = new RegExp(
  `(?<!\\p{L})${dayUnit}\\p{L}*[^\\d\\n]{0,40}[:=]\\s?(\\d{1,3}(?:\\s?[-–~]\\s?\\d{1,3})?)`,
  'iu',
)
const oneSpan = new RegExp(`(?<!\\p{L})(?:a|an|one|next|einer|einem|une?|una?|een|um[a]?)\\s(${dayUnit})\\p{L}*`, 'iu')

const number = "\\d{1,3}(?:[.,' ]\\d{3})+(?:[.,]\\d{1,4})?|\\d+(?:[.,]\\d{1,4})?"
const sign = '[A-Z]{0,2}[$€£¥₹₩₺₽₪₫₴]|zł|Kč|kr(?!\\p{L})|euros?(?!\\p{L})|[A-Za-z]{3}(?!\\p{L})'
const amount = new RegExp(
  `(?:(?<![\\p{L}\\d])(${sign})\\s?)?(?<![\\d.,])(${number})(?![\\d]|[.,]\\d)(?:\\s?(${sign}))?`,
  'gu',
)

const piece =
  'pcs|pc|pieces?|units?|sets?|stk|stück|stücke?|pi[eè]ces?|unités?|unidades|uds?|und|un|pezzi|pz|stuks?|st|szt|sztuk|peças|peça|packs?|boxes|cartons?|ea'
const fromWords =
  'from|for|at|@|ab|bei|à partir de|dès|des|pour|a partir de|desde|para|da|per|vanaf|bij|od|przy|if you order|order(?:ing)?|over|≥|>='
const quantityForms = [
  // 100-499, 500+
  /(?<![\d.,-])(\d{1,6})\s?(?:[-–~]\s?\d{1,7}|\+)(?![\d.,])/u,
  new RegExp(`(?<!\\p{L})(?:${fromWords})\\s?(\\d{1,6})(?![\\d.,]\\d)`, 'iu'),
  new RegExp(`(?<![\\d.,])(\\d{1,6})\\s?(?:${piece})(?!\\p{L})`, 'iu'),
  // a row that begins with its quantity
  /^[@x]?\s?(\d{1,6})(?:\s?[:=–-])?$/u,
]

/** Reads what a supplier wrote back: prices at quantities, least order, delivery, days, sample. What was read is shown before it counts. */
export function readAnswer(text: string): AnswerRead {
  const clauses = clausesOf(text.slice(0, mostRead))
  const style = guessNumberStyle(text.match(new RegExp(number, 'g')) ?? []).style
  const read = { ...nothing, tiers: [] as Tier[] }
  for (const clause of clauses) readClause(clause, style, read)
  return read.tiers.length === 0 ? nothing : { ...read, tiers: [...read.tiers].sort((a, b) => a.from - b.from) }
}

/** Lines, sentences, and their parts: each says one thing. */
function clausesOf(text: string): string[] {
  return text
    .replace(/[|\t]+/g, ' ')
    .split(/\n|;|[.!?]\s+(?=\p{Lu})|,\s+(?!\d{3})/u)
    .flatMap((part) => part.split(/\s(?:and|or|und|oder|y|e|et|ou|o|en|i|of)\s(?=.*\d)(?<=\d.*)/iu))
    .map((part) => part.replace(/^\s*(?:\d{1,2}[.)]|[-*•])\s+/, '').trim())
    .filter((part) => part !== '')
}

function readClause(clause: string, style: NumberStyle, read: AnswerRead): void {
  const sums = amountsIn(clause, style)
  const [sum] = sums
  const days = noDays.test(clause) ? null : daysOf(clause)
  if (days !== null) read.leadDays = Math.max(read.leadDays ?? 0, days)
  const rest = without(clause, sums)
  const minimum = least.test(rest) ? countNear(rest) : null
  if (minimum !== null) read.minOrder ??= minimum
  if (sum) read.currency ??= sum.currency
  if (sample.test(clause)) read.sampleE4 ??= sum?.e4 ?? (free.test(clause) ? 0 : null)
  else if (delivery.test(clause) || (!sum && free.test(clause) && /versand|porto/i.test(clause)))
    read.deliveryE4 ??= sum?.e4 ?? (free.test(clause) ? 0 : null)
  else if (sum) addTier(read.tiers, { from: minimum === null ? (quantityIn(rest) ?? 1) : 1, priceE4: sum.e4 })
}

function addTier(tiers: Tier[], tier: Tier): void {
  if (!tiers.some((t) => t.from === tier.from)) tiers.push(tier)
}

interface Sum {
  at: number
  length: number
  e4: number
  currency: string | null
}

/** Numbers that stand beside a sign of currency. */
function amountsIn(clause: string, style: NumberStyle): Sum[] {
  return [...clause.matchAll(amount)].flatMap((m): Sum[] => {
    const currency = currencyOf(m[1]) ?? currencyOf(m[3])
    const plain = currency === null ? null : plainNumber(m[2] ?? '', style)
    const e4 = plain === null ? null : e4OfPlain(plain)
    return e4 === null ? [] : [{ at: m.index, length: m[0].length, e4, currency }]
  })
}

function currencyOf(sign: string | undefined): string | null {
  if (sign === undefined) return null
  if (/^euros?$/i.test(sign)) return 'EUR'
  if (/^[a-z]{3}$/i.test(sign)) return isCurrencyCode(sign.toUpperCase()) ? sign.toUpperCase() : null
  return recogniseCurrency(sign)?.currency ?? null
}

function without(clause: string, sums: readonly Sum[]): string {
  return sums.reduceRight((text, s) => `${text.slice(0, s.at)} ${text.slice(s.at + s.length)}`, clause)
}

/** The quantity a price holds from; null where none is named. */
function quantityIn(text: string): number | null {
  for (const form of quantityForms) {
    const n = Number(form.exec(text.trim())?.[1])
    if (n > 0) return n
  }
  return null
}

/** The figure that belongs to the word for 'at least': the next behind it, or the last before. */
function countNear(text: string): number | null {
  const at = text.search(least)
  const behind = /\d{1,7}/.exec(text.slice(at))
  const before = text.slice(0, at).match(/\d{1,7}/g)
  const n = Number(behind?.[0] ?? before?.at(-1))
  return n > 0 ? n : null
}

function daysOf(clause: string): number | null {
  const some = someDays.exec(clause) ?? daysThenFigure.exec(clause)
  if (some) return daysIn(some[0])?.most ?? null
  const one = oneSpan.exec(clause)
  return one ? (daysIn(`1 ${one[1] ?? ''}`)?.most ?? null) : null
}
