import { lateBy, quoteState, type Quote, type QuoteState } from '@sickle/core/supply'
import { plural } from '@/shared/format'

/** All quotes of one item. */
export interface QuotedItem {
  key: string
  title: string
  quotes: Quote[]
  late: number
  /** 'three asked, one sample passed' */
  told: string
}

const inTurn: [QuoteState, (n: number) => string][] = [
  ['passed', (n) => plural(n, 'sample passed', 'samples passed')],
  ['failed', (n) => plural(n, 'sample failed', 'samples failed')],
  ['sampled', (n) => plural(n, 'sample ordered', 'samples ordered')],
  ['answered', (n) => `${n} answered`],
  ['asked', (n) => `${n} open`],
  ['declined', (n) => plural(n, 'has none', 'have none')],
]

/** Quotes by item: those with something late first, then those that were asked last. @param today day since 1970 */
export function quotesOfItems(quotes: readonly Quote[], today: number): QuotedItem[] {
  const byItem = grouped(quotes)
  const items = [...byItem].map(([key, its]): QuotedItem => {
    const states = its.map(quoteState)
    const told = inTurn.flatMap(([state, words]) => {
      const n = states.filter((s) => s === state).length
      return n > 0 ? [words(n)] : []
    })
    return {
      key,
      title: its.at(-1)?.title ?? key,
      quotes: its,
      late: its.filter((q) => lateBy(q, today)).length,
      told: told.join(', '),
    }
  })
  const newest = ({ quotes: its }: QuotedItem) => Math.max(...its.map((q) => q.askedOn))
  return items.sort((a, b) => b.late - a.late || newest(b) - newest(a))
}

function grouped(quotes: readonly Quote[]): Map<string, Quote[]> {
  const byItem = new Map<string, Quote[]>()
  for (const q of quotes) byItem.set(q.item, [...(byItem.get(q.item) ?? []), q])
  return byItem
}
