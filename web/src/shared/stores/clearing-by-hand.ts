import type { Corrections } from '@sickle/core/catalog'
import type { AvoidLine } from '@sickle/core/clear'
import type { KeptDocument } from './document'

/** What the seller says of what may be listed. */
export function clearingByHand(
  corrections: KeptDocument<Corrections>,
  step: (label: string, change: () => Promise<void>) => Promise<void>,
  now: () => number,
) {
  const correct = (some: Partial<Corrections>) => corrections.set({ ...corrections.value.value, ...some })
  const setAvoid = (avoid: AvoidLine[]) => step('what you avoid', () => correct({ avoid }))
  /** Lists an item whatever a list says, with the reason; null lets the lists speak again. */
  function setCleared(item: string, reason: string | null): Promise<void> {
    const { [item]: _, ...cleared } = corrections.value.value.cleared
    return step('what may be listed', () =>
      correct({ cleared: reason === null ? cleared : { ...cleared, [item]: { reason, at: now() } } }),
    )
  }
  return { setAvoid, setCleared }
}
