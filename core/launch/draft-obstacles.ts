import type { MayList } from '../clear'
import type { DecisionState } from '../verdict'
import { draftFaults, type Draft } from './draft'

export interface DraftStanding {
  /** what was decided of its item; null where nothing is */
  decision: DecisionState | null
  /** what the list of restricted items says of it; null where there is no list */
  allowed: MayList | null
}

/** What stands in the way of a draft, in words, what the seller decided and may do before all else; empty where it can go up. */
export function draftObstacles(draft: Draft, { decision, allowed }: DraftStanding): string[] {
  const dropped = decision === 'drop' ? ['You dropped this item'] : []
  const here = (allowed?.because ?? []).filter((b) => b.market === draft.market || b.market === '?')
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
