import type { AvoidLine } from '@sickle/core/clear'
import type { ByHand } from './by-hand'

/** What the seller says of what may be listed. */
export function clearingByHand({ now, say }: ByHand, clock: () => number) {
  const setAvoid = (avoid: AvoidLine[]) => say('what you avoid', { avoid })
  /** Lists an item whatever a list says, with the reason; null lets the lists speak again. */
  function setCleared(item: string, reason: string | null): Promise<void> {
    const { [item]: _, ...cleared } = now().cleared
    return say('what may be listed', {
      cleared: reason === null ? cleared : { ...cleared, [item]: { reason, at: clock() } },
    })
  }
  return { setAvoid, setCleared }
}
