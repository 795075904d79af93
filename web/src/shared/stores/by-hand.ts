import type { Corrections } from '@sickle/core/catalog'

/** What stands corrected now, and how something of it is said otherwise: a step by its label. */
export interface ByHand {
  now: () => Corrections
  say: (label: string, some: Partial<Corrections>) => Promise<void>
}
