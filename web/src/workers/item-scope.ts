import type { ItemEngine } from './item-engine'

/** Which items are meant: those of the seller's sheaf, those that Finds shows now, or all. */
export type ItemScope = { of: 'keys'; keys: string[] } | { of: 'found' } | { of: 'all' }

/** Places of the items that are meant; those found in their order. */
export async function placesOfScope(engine: ItemEngine, scope: ItemScope): Promise<Iterable<number>> {
  if (scope.of === 'keys') return engine.placesOf(scope.keys)
  const { figures, finder } = engine
  return scope.of === 'found' ? finder.places(0, figures.rows) : Array.from({ length: figures.rows }, (_, i) => i)
}
