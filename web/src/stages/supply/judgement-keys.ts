import type { MatchJudgement } from '@sickle/core/supply'

/** The key by which an offer is said to be something. */
export const judgementKeys: Record<MatchJudgement, string> = { same: 's', pack: 'p', similar: 'a', no: 'x' }
