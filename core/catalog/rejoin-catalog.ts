import type { Capture } from '../records'
import { placesOf } from '../tables'
import { stepper, type WorkOptions } from './build-catalog'
import type { Catalog } from './catalog'
import type { ListingIndex } from './find-listing'
import { itemReach } from './item-reach'
import { itemsByHand, membersOf } from './items-by-hand'
import { labelsOf } from './joinable'
import { renewLives } from './renew-lives'
import type { CatalogChange } from './catalog-change'
import type { Corrections } from './rules'
import { sameItems } from './same-items'

export interface RejoinOptions extends WorkOptions {
  /** captures of kinds other than listings and sales */
  others: readonly Capture[]
  /** finds the catalog's listings */
  index: () => ListingIndex
}

/**
 * Other items by what the seller says of a few listings: listings and their groups are what they were, and of the items only those that
 * it touches are worked out.
 *
 * @throws Problem 'cancelled'
 */
export async function rejoinCatalog(
  before: Catalog,
  said: Pick<Corrections, 'apart' | 'together'>,
  { others, index, ...work }: RejoinOptions,
): Promise<CatalogChange> {
  const step = stepper(work)
  const { listings } = before
  const joinable = () => ({ forms: before.forms, ...labelsOf(listings) })
  const itemOf = itemsByHand(before.groupOf, said, joinable, index)
  const { starts, members } = membersOf(itemOf)
  const joined = { listings, itemOf, items: starts.length - 1 }
  const reach = await itemReach(others, joined, { index, onProgress: (done) => step(0.5 * done) })
  const now = { ...before, itemOf, starts, members, reach }
  const same = sameItems(before, now, {
    ...before,
    oldOf: placesOf(listings.rows),
    touched: new Uint8Array(listings.rows),
  })
  const life = await renewLives(before, now, same.sold, (done) => step(0.5 + 0.5 * done))
  return { catalog: { ...now, life }, sameAs: same.all }
}
