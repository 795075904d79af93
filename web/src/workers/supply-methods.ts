import { itemScenarios, matchDesk, type ItemScenarios } from '@sickle/core/catalog'
import { findRow, matchQueue, type FindRow } from '@sickle/core/engine'
import type { Scenario } from '@sickle/core/margin'
import { textAt, textColumn } from '@sickle/core/tables'
import type { CallContext } from './channel'
import type { ItemEngine } from './item-engine'
import { placesOfScope, type ItemScope } from './item-scope'

export interface QueuedRow {
  row: FindRow
  /** home currency a month, major units */
  worth: number
}

/** What waits in the queue beside what is open: items that were judged, and those that may not be listed. */
export interface QueueShown {
  judged: boolean
  barred: boolean
}

/** items that wait in the queue at once */
const mostQueued = 200

/** What Supply asks. */
export function supplyMethods(engine: () => ItemEngine, lastAsked: () => Promise<ItemEngine>) {
  return {
    /** Items whose offers are to be judged, those first of which a right match is worth most. */
    async matchQueue(_: CallContext, scope: ItemScope, shown: QueueShown): Promise<QueuedRow[]> {
      const maker = await engine().maker
      const { figures } = engine()
      const { offers, judged } = maker.corrections
      const [kinds, clearing] = [textColumn(figures, 'kinds'), textColumn(figures, 'clearing')]
      const skip = (place: number) => {
        if (textAt(kinds, place) === 'digital') return true
        if (!shown.barred && textAt(clearing, place) === 'restricted') return true
        const key = maker.keyAt(place)
        return !shown.judged && (offers[key] !== undefined || Object.keys(judged[key] ?? {}).length > 0)
      }
      const queue = matchQueue(figures, await placesOfScope(engine(), scope, lastAsked), { skip, most: mostQueued })
      return queue.map(({ place, worth }) => ({ row: findRow(maker.at(place, false)), worth }))
    },

    /** Items under what-ifs, in the order of their keys; those of which no price or cost is known are left out. */
    async scenarios(_: CallContext, keys: readonly string[], scenarios: readonly Scenario[]): Promise<ItemScenarios[]> {
      const maker = await engine().maker
      return keys.flatMap((key) => {
        const place = maker.find(key)
        return (place === null ? null : itemScenarios(maker.at(place, false), scenarios, maker)) ?? []
      })
    },

    /** An item beside its offers. @param words the seller's own search; '' by its title */
    async desk(_: CallContext, key: string, words: string) {
      return matchDesk(await engine().maker, key, words)
    },
  }
}
