import type { Clearance } from '../clear'
import type { DecisionState } from '../verdict'
import { draftFaults, type Draft } from './draft'

export interface DraftStanding {
  /** what was decided of its item; null where nothing is */
  decision: DecisionState | null
  /** what lists say of it and of its own words; null where there is no list */
  allowed: (Clearance & { overruled: object | null }) | null
}

/** What stands in the way of a draft, in words, what the seller decided and may do before all else; empty where it can go up. */
export function draftObstacles(draft: Draft, { decision, allowed }: DraftStanding): string[] {
  const dropped = decision === 'drop' ? ['You dropped this item'] : []
  const because = allowed?.overruled ? [] : (allowed?.because ?? [])
  const here = because.filter((b) => b.market === draft.market || b.market === null)
  const [strictest] = here
  const words = { restricted: 'may not be listed', 'needs approval': 'needs approval first' } as const
  const status = strictest?.status
  const barred =
    status === 'restricted' || status === 'needs approval'
      ? [
          `It ${words[status]} on ${draft.market}: “${strictest?.what ?? ''}”${strictest?.note ? ` (${strictest.note})` : ''}`,
        ]
      : []
  return [...dropped, ...barred, ...draftFaults(draft)]
}
