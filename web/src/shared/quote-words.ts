import { lateBy, quoteState, type Quote, type QuoteState } from '@sickle/core/supply'
import { day, plural } from './format'

interface StateWords {
  sign: string
  label: string
  tone: string
}

export const quoteStateWords: Record<QuoteState, StateWords> = {
  asked: { sign: '·', label: 'asked', tone: 'quiet' },
  declined: { sign: '✗', label: 'has none', tone: 'quiet' },
  answered: { sign: '✓', label: 'answered', tone: '' },
  sampled: { sign: '·', label: 'sample ordered', tone: '' },
  passed: { sign: '✓', label: 'sample passed', tone: 'profit' },
  failed: { sign: '✗', label: 'sample failed', tone: 'loss' },
}

/** How far a quote has come, and since when; what is late says by how much. */
export function quoteTold(quote: Quote, today: number): string {
  const state = quoteState(quote)
  const late = lateBy(quote, today)
  const { label } = quoteStateWords[state]
  const arrived = state === 'sampled' && quote.sample?.arrivedOn != null ? 'sample here, to be judged' : label
  const told = `${arrived} ${day(sinceOf(quote, state))}`
  return late ? `${told}, ${late.what} ${plural(late.days, 'day')} late` : told
}

function sinceOf({ askedOn, answer, sample }: Quote, state: QuoteState): number {
  if (state === 'asked') return askedOn
  if (state === 'answered' || state === 'declined') return answer?.on ?? askedOn
  if (state === 'sampled') return sample?.arrivedOn ?? sample?.orderedOn ?? askedOn
  return sample?.judgedOn ?? askedOn
}
