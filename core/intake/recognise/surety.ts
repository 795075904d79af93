import type { Surety } from './guess-columns'

export interface Evidence {
  /** what all columns together lose if this one is taken for something else, or for nothing */
  regret: number
  /** how well the heading names the field, 0 to 1 */
  heading: number
  /** what the cells say */
  values: number
}

/**
 * How surely a column is what it is taken for. Bounds were found by leaving each file of the corpus out in turn
 * (`npm run recognition`).
 */
export function suretyOf({ regret, heading, values }: Evidence): Surety {
  if (heading >= 0.6 && regret >= 2.5 && values > -1) return 'sure'
  return heading >= 0.4 && regret >= 1 ? 'likely' : 'unsure'
}
