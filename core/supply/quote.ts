import { anyText, currency, listOf, moneyE4, orNull, record, text, truth, whole } from '../schema'
import type { Tier } from '../notation'

/** What a supplier answered. Money in its own currency; null where it did not say. */
export interface QuoteAnswer {
  /** day, since 1970 */
  on: number
  /** none: it has no such thing, or will not */
  tiers: Tier[]
  currency: string
  minOrder: number | null
  deliveryE4: number | null
  leadDays: number | null
  sampleE4: number | null
  /** pieces in the pack that it prices; null: as its offer or the title says */
  pack: number | null
  note: string
}

/** One piece that was ordered to look at. Days since 1970. */
export interface Sample {
  orderedOn: number
  /** by when it was promised; null where it was not */
  dueOn: number | null
  arrivedOn: number | null
  /** null until it is judged */
  passed: boolean | null
  judgedOn: number | null
}

/** What one supplier was asked about one item. Days since 1970. */
export interface Quote {
  id: string
  /** key and title of the item, as it was asked about */
  item: string
  title: string
  supplier: string
  /** its offer of the same goods; null where none is known */
  offer: string | null
  /** packs in one order that a price is asked for */
  quantities: number[]
  /** its number in the message that asked, and how many items that asked about: an answer tells them apart by it */
  place: number
  of: number
  askedOn: number
  /** when an answer is late */
  dueOn: number
  answer: QuoteAnswer | null
  sample: Sample | null
}

/** How far a quote has come. */
export const quoteStates = ['asked', 'declined', 'answered', 'sampled', 'passed', 'failed'] as const
export type QuoteState = (typeof quoteStates)[number]

export function quoteState({ answer, sample }: Pick<Quote, 'answer' | 'sample'>): QuoteState {
  if (sample) return sample.passed === null ? 'sampled' : sample.passed ? 'passed' : 'failed'
  if (answer) return answer.tiers.length === 0 ? 'declined' : 'answered'
  return 'asked'
}

/** What is late: an answer, or a sample that has not arrived by the day it was promised for. */
export function lateBy(quote: Quote, today: number): { what: 'answer' | 'sample'; days: number } | null {
  const state = quoteState(quote)
  const due = state === 'asked' ? quote.dueOn : state === 'sampled' && quote.sample?.arrivedOn === null ? quote.sample.dueOn : null
  if (due === null || today <= due) return null
  return { what: state === 'asked' ? 'answer' : 'sample', days: today - due }
} // prettier-ignore

/** What is written around the items of a message, and how long an answer may take. */
export interface Letter {
  opening: string
  questions: string[]
  closing: string
  answerDays: number
  quantities: number[]
}

export interface Quotes {
  letter: Letter
  list: Quote[]
}

export const plainLetter: Letter = {
  opening: 'Hello,\n\nplease quote for:',
  questions: [
    'Unit price at each quantity',
    'Minimum order',
    'Delivery of the order',
    'Days until it arrives',
    'Price of a sample',
  ],
  closing: 'Thank you',
  answerDays: 5,
  quantities: [10, 50, 200],
}

export const noQuotes: Quotes = { letter: plainLetter, list: [] }

const day = () => whole(0, 200_000)
const quantity = () => whole(1, 1e7)
const quantities = () => listOf(quantity(), 8).min(1, 'must name a quantity')

/** One answer: the form, what rests and backups share it. */
export const quoteAnswerSchema = record({
  on: day(),
  tiers: listOf(record({ from: quantity(), priceE4: moneyE4() }), 20).test(
    'once',
    'names a quantity twice',
    (tiers) => new Set((tiers as Tier[] | undefined)?.map((t) => t.from)).size === (tiers?.length ?? 0),
  ),
  currency: currency(),
  minOrder: orNull(quantity()),
  deliveryE4: orNull(moneyE4()),
  leadDays: orNull(whole(0, 1000)),
  sampleE4: orNull(moneyE4()),
  pack: orNull(whole(1, 5000)),
  note: anyText(2000),
})

const sampleSchema = record({
  orderedOn: day(),
  dueOn: orNull(day()),
  arrivedOn: orNull(day()),
  passed: orNull(truth()),
  judgedOn: orNull(day()),
})

export const letterSchema = record({
  opening: anyText(4000),
  questions: listOf(text(300), 30),
  closing: anyText(4000),
  answerDays: whole(1, 90),
  quantities: quantities(),
})

export const quotesSchema = record({
  letter: letterSchema,
  list: listOf(
    record({
      id: text(60),
      item: text(4000),
      title: anyText(2000),
      supplier: text(300),
      offer: orNull(text(4000)),
      quantities: quantities(),
      place: quantity(),
      of: quantity(),
      askedOn: day(),
      dueOn: day(),
      answer: quoteAnswerSchema.nullable(),
      sample: sampleSchema.nullable(),
    }),
    50_000,
  ),
})
