import { placesOf } from '@sickle/core/tables'
import type { ItemEngine } from './item-engine'

/** Which items are meant: those of the seller's sheaf, those that Finds shows now, or all. */
export type ItemScope = { of: 'keys'; keys: string[] } | { of: 'found' } | { of: 'all' }

/**
 * Places of the items that are meant; those found in their order.
 *
 * @param lastAsked what Finds asked last, through whatever lens: places are the same
 */
export async function placesOfScope(
  engine: ItemEngine,
  scope: ItemScope,
  lastAsked: () => Promise<ItemEngine>,
): Promise<Iterable<number>> {
  if (scope.of === 'keys') return engine.placesOf(scope.keys)
  const { rows } = engine.figures
  return scope.of === 'found' ? (await lastAsked()).finder.places(0, rows) : placesOf(rows)
}
