import type { CheckName } from './offer-checks'

/** An offer of the same goods that may be chosen. */
export interface Candidate {
  key: string
  supplier: string
  /** what a sale's goods cost by it, E4 of the home currency; null where a cost is not known */
  landedE4: number | null
  days: number | null
  /** rules that it breaks, and those of which nothing is known */
  broken: CheckName[]
  unknown: CheckName[]
}

/** Which offer is reckoned with, and what it was chosen from. */
export interface OfferChoice {
  /** the seller for this item, the rules, or nobody where there is no offer to choose */
  by: 'you' | 'rules' | 'nobody'
  /** the candidates, as they are chosen by: those that break fewest rules first, of those the one that costs least */
  candidates: Candidate[]
  chosen: Candidate | null
}

export const nothingChosen: OfferChoice = { by: 'nobody', candidates: [], chosen: null }

/**
 * Chooses by the seller's rules, not by the lowest price alone. What a rule asks for and an offer does not say breaks nothing: it is told as
 * not known. A supplier that is avoided is never chosen by itself.
 *
 * @param said the offer that the seller said is the one; null where nothing was said
 */
export function chooseOffer(candidates: readonly Candidate[], said: string | null = null): OfferChoice {
  const inTurn = [...candidates].sort((a, b) => a.broken.length - b.broken.length || costOf(a) - costOf(b))
  const wanted = said === null ? undefined : inTurn.find((c) => c.key === said)
  if (wanted) return { by: 'you', candidates: inTurn, chosen: wanted }
  const chosen = inTurn.find((c) => !c.broken.includes('avoided')) ?? null
  return { by: chosen === null ? 'nobody' : 'rules', candidates: inTurn, chosen }
}

/**
 * Candidates that are not dearer and slower than another: what remains is a choice between money and days. Quickest first; those of
 * suppliers who are avoided are no choice.
 */
export function costAgainstDays(candidates: readonly Candidate[]): Candidate[] {
  const known = candidates.filter((c) => c.landedE4 !== null && c.days !== null && !c.broken.includes('avoided'))
  known.sort((a, b) => (a.days as number) - (b.days as number) || costOf(a) - costOf(b))
  let least = Infinity
  return known.filter((c) => {
    const isCheaper = costOf(c) < least
    if (isCheaper) least = costOf(c)
    return isCheaper
  })
}

const costOf = ({ landedE4 }: Candidate) => landedE4 ?? Infinity
