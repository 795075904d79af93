import type { MatchJudgement } from '@sickle/core/supply'

/** What an offer can be said to be, and the key that says it. */
export const judgementWords: Record<MatchJudgement, string> = {
  same: 'same',
  pack: 'other pack',
  similar: 'similar',
  no: 'no',
}
export const judgementKeys: Record<MatchJudgement, string> = { same: 's', pack: 'p', similar: 'a', no: 'x' }
