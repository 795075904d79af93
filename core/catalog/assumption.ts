import { assumedFeesWords } from '../margin'

/** What a profit rests on that nobody stated: fees of common practice, delivery, or its weight, taken as 0, packs taken as one piece. */
export type Assumption = 'fees' | 'delivery' | 'pack'
export const assumptions: readonly Assumption[] = ['fees', 'delivery', 'pack']

/** Each in words, behind 'Assumed: '. */
export const assumptionWords: Record<Assumption, string> = {
  fees: `fees of ${assumedFeesWords} (enter yours in Margin)`,
  delivery: 'no cost of delivery from the supplier, or none by weight (the offer does not state it)',
  pack: 'pieces in the packs (confirm them in Supply)',
}
