import { sharedProfit } from './shared-profit'
export type DecisionState = 'keep' | 'hold' | 'drop'

/** One step in a sheaf: a decision, a note, or taking a decision back ('clear'). */
export interface DecisionEvent {
  /** ms */
  at: number
  key: string
  action: DecisionState | 'clear' | 'note'
  /** why, or the note */
  text: string
  /** what is needed to show the item where its data are gone */
  snapshot: { title: string; picture: string | null; profitE4: number | null; units: number | null; listings: number }
}

export interface Decision {
  key: string
  state: DecisionState
  reason: string
  note: string
  at: number
  snapshot: DecisionEvent['snapshot']
}

export interface Sheaf {
  id: string
  name: string
  events: DecisionEvent[]
  /** events up to here hold; those after it are undone and can be redone */
  cursor: number
}

export interface SheafBook {
  open: string
  sheaves: Sheaf[]
}

/** The decisions that stand after a run of events, in the order in which items were first decided. */
export function applyEvents(events: readonly DecisionEvent[]): Map<string, Decision> {
  const decisions = new Map<string, Decision>()
  for (const { key, action, text, at, snapshot } of events) {
    const before = decisions.get(key)
    if (action === 'clear') decisions.delete(key)
    else if (action === 'note') {
      if (before) decisions.set(key, { ...before, note: text })
    } else decisions.set(key, { key, state: action, reason: text, note: before?.note ?? '', at, snapshot })
  }
  return decisions
}

/**
 * Profit a month that kept items promise: each at its share of the units sold, one seller more among its listings.
 * Items whose profit or units are not known count as unknown, not as 0.
 */
export function expectedMonthly(items: readonly DecisionEvent['snapshot'][]): {
  e4: number
  known: number
  of: number
} {
  const known = items.filter((i) => i.profitE4 !== null && i.units !== null)
  const e4 = known.reduce(
    (sum, i) => sum + Math.round(sharedProfit(i.profitE4 as number, i.units as number, i.listings)),
    0,
  )
  return { e4, known: known.length, of: items.length }
}
