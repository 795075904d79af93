import type { ItemSampleNeed } from '@sickle/core/catalog'
import type { Quote } from '@sickle/core/supply'

const whyWords = {
  electric: 'It seems to run on electricity, and of cheap electrics about one in ten comes back (common practice)',
  dear: 'Its first order takes much money',
}

/**
 * What is said before an item goes up whose sample should be looked at first, in a sentence without its stop; null where nothing is.
 *
 * @param passed quotes of the item whose sample passed
 */
export function sampleAdvice(need: ItemSampleNeed | null, passed: readonly Pick<Quote, 'supplier'>[]): string | null {
  if (need === null) return null
  const { supplier } = need
  if (passed.some((q) => supplier === null || q.supplier === supplier)) return null
  const [other] = passed
  const which = other
    ? `the sample that passed is of ${other.supplier}, and it is reckoned with ${supplier ?? ''}`
    : 'no sample has passed yet'
  return `${whyWords[need.need]}: ${which}`
}
