import { stemsOf } from '../words'
import { hasWords } from './phrase'
import type { Term } from './term'

/** Longer phrases of the same market that have all of a term's words and more, best balance first; unknown balances last. */
export function longerPhrases(term: Term, all: readonly Term[]): Term[] {
  const wanted = stemsOf(term.phrase)
  return all
    .filter((t) => t.market === term.market && t.key !== term.key)
    .filter((t) => hasWords(t.phrase, wanted) && stemsOf(t.phrase).length > wanted.length)
    .sort((a, b) => (b.balance ?? -1) - (a.balance ?? -1))
}

/** By how much searches must have risen at the least, by the lower end of the interval, to be called rising: our own rule. */
export const riseFrom = 0.1

/** Terms surely searched for more than before. The surest rise first. */
export function risingTerms(all: readonly Term[]): Term[] {
  const low = (t: Term) => t.change?.low ?? -Infinity
  return all.filter((t) => low(t) >= riseFrom).sort((a, b) => low(b) - low(a))
}
