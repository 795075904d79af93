import { isOverdue, lateBy, quoteState, type Purchase, type Quote } from '@sickle/core/supply'
import { plural } from '@/shared/format'

interface Waiting {
  to: string
  n: number
  text: string
  act: string
}

/** What waits of suppliers: late answers, samples and orders, and samples that are to be judged. */
export function waitingOfSuppliers({
  list,
  purchases,
  today,
}: {
  list: readonly Quote[]
  purchases: readonly Purchase[]
  today: () => number
}): Waiting[] {
  const late = (what: 'answer' | 'sample') => list.filter((q) => lateBy(q, today())?.what === what)
  const [answers, samples] = [late('answer'), late('sample')]
  const here = list.filter((q) => quoteState(q) === 'sampled' && q.sample?.arrivedOn != null)
  const orders = purchases.filter((p) => isOverdue(p, today()))
  const line = (n: number, text: string, act: string, to = '/supply/quotes') => (n > 0 ? [{ to, n, text, act }] : [])
  const page = `/supply/supplier?name=${encodeURIComponent(orders[0]?.supplier ?? '')}`
  return [
    ...line(answers.length, `${plural(answers.length, 'quote')} without an answer past its day`, 'Ask again'),
    ...line(samples.length, `${plural(samples.length, 'sample')} not here by the promised day`, 'Ask after it'),
    ...line(here.length, `${plural(here.length, 'sample')} to be judged`, 'Judge'),
    ...line(orders.length, `${plural(orders.length, 'order')} of suppliers not here by the promised day`, 'Look', page),
  ]
}
