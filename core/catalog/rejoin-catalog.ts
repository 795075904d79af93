import { inForce, joinListings } from '../goods'
import type { Capture } from '../records'
import { placesOf } from '../tables'
import { stepper, type WorkOptions } from './build-catalog'
import type { Catalog } from './catalog'
import type { ListingIndex } from './find-listing'
import { itemReach } from './item-reach'
import { itemsByHand } from './items-by-hand'
import { membersOf } from './members'
import { labelsOf } from './joinable'
import { renewLives } from './renew-lives'
import type { CatalogChange } from './catalog-change'
import type { SaidOfGoods } from './rules'
import { sameItems } from './same-items'
import { isTaughtAnew, titleLessons } from './title-lessons'

export interface RejoinOptions extends WorkOptions {
  /** captures of kinds other than listings and sales */
  others: readonly Capture[]
  /** finds the catalog's listings */
  index: () => ListingIndex
}

/**
 * Other items by what the seller says of a few listings: listings are what they were, their groups too unless that teaches other words, and of
 * the items only those that it touches are worked out.
 *
 * @throws Problem 'cancelled'
 */
export async function rejoinCatalog(
  before: Catalog,
  said: SaidOfGoods,
  { others, index, ...work }: RejoinOptions,
): Promise<CatalogChange> {
  const step = stepper(work)
  const { listings } = before
  const titles = { forms: before.forms, ...labelsOf(listings) }
  const lessons = titleLessons(titles, said, index)
  const joinable = { ...titles, lessons: inForce(lessons) }
  const now = { lessons, forms: before.forms }
  const groupOf = isTaughtAnew(before, now) ? await joinListings(joinable, (done) => step(0.3 * done)) : before.groupOf
  const itemOf = itemsByHand(groupOf, said, () => joinable, index)
  const { starts, members } = membersOf(itemOf)
  const joined = { listings, itemOf, items: starts.length - 1 }
  const reach = await itemReach(others, joined, {
    index,
    windowEnds: before.windowEnds,
    avoid: said.avoid,
    onProgress: (done) => step(0.3 + 0.2 * done),
  })
  const rejoined = { ...before, groupOf, lessons, itemOf, starts, members, reach }
  const same = sameItems(before, rejoined, {
    ...before,
    oldOf: placesOf(listings.rows),
    touched: new Uint8Array(listings.rows),
  })
  const life = await renewLives(before, rejoined, same.sold, (done) => step(0.5 + 0.5 * done))
  return { catalog: { ...rejoined, life }, sameAs: same.all }
}
