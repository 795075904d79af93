import type { Evidence, Surety } from './guess'

export interface SuretyBounds {
  /** least regret to be sure */
  regret: number
  /** least fit of the heading to be sure */
  heading: number
}

/** Found by leaving each file of the corpus out in turn (`npm run recognition`, docs/estimates.md). */
export const suretyBounds: SuretyBounds = { regret: 3, heading: 0.7 }

/** How surely a column is what it is taken for. */
export function suretyOf({ regret, heading, values }: Evidence, bounds: SuretyBounds = suretyBounds): Surety {
  if (heading >= bounds.heading && regret >= bounds.regret && values > -1) return 'sure'
  return heading >= 0.4 && regret >= 1 ? 'likely' : 'unsure'
}
