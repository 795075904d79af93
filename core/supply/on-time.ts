import { middleOf, wilsonInterval, type ProportionInterval } from '../demand'
import { isOverdue, type Purchase } from './purchase'
import { quoteState, type Quote } from './quote'

/** How a supplier kept to what it promised, out of one's own orders and samples. */
export interface OnTimeRecord {
  /** orders that were promised for a day, and have come or are late */
  known: number
  onTime: number
  /** the share that is on time, with its 95 % interval; null where nothing is known */
  share: ProportionInterval | null
  /** days behind the promise, at the middle; below zero where it is early. Null where nothing came */
  middleDaysLate: number | null
  /** orders without a promise, which say nothing, and those on their way whose day has not come */
  unpromised: number
  underway: number
}

type Promised = Pick<Purchase, 'promisedOn' | 'arrivedOn'>

/** A sample is an order like others. */
export function promisesOf(supplier: string, purchases: readonly Purchase[], quotes: readonly Quote[]): Promised[] {
  const samples = quotes.flatMap(({ supplier: s, sample }) => (s === supplier && sample ? [sample] : []))
  return [
    ...purchases.filter((p) => p.supplier === supplier),
    ...samples.map(({ dueOn, arrivedOn }) => ({ promisedOn: dueOn, arrivedOn })),
  ]
}

/** What has not come and is past its day is late, by how much is not known yet. @param today day since 1970 */
export function onTimeRecord(orders: readonly Promised[], today: number): OnTimeRecord {
  const promised = orders.filter((o): o is Promised & { promisedOn: number } => o.promisedOn !== null)
  const come = promised.flatMap(({ promisedOn, arrivedOn }) => (arrivedOn === null ? [] : [arrivedOn - promisedOn]))
  const overdue = promised.filter((o) => isOverdue(o, today)).length
  const onTime = come.filter((late) => late <= 0).length
  const known = come.length + overdue
  return {
    known,
    onTime,
    share: wilsonInterval(onTime, known),
    middleDaysLate: middleOf(come),
    unpromised: orders.length - promised.length,
    underway: promised.length - known,
  }
}

/** How soon a supplier answers. */
export interface AnswerTime {
  asked: number
  answered: number
  /** days from question to answer, at the middle of those that came; null where none did */
  middleDays: number | null
  /** still open, and past their day */
  late: number
}

export function answerTime(quotes: readonly Quote[], today: number): AnswerTime {
  const answers = quotes.flatMap(({ askedOn, answer }) => (answer ? [answer.on - askedOn] : []))
  const late = quotes.filter((q) => quoteState(q) === 'asked' && q.dueOn < today).length
  return { asked: quotes.length, answered: answers.length, middleDays: middleOf(answers), late }
}
