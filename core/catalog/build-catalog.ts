import { inForce, joinListings } from '../goods'
import type { Capture } from '../records'
import { stopIfCancelled } from '../problem'
import { mergeOffers } from '../supply'
import { categorySeasons, mergeTerms } from '../terms'
import type { Catalog } from './catalog'
import { itemLives } from './item-lives'
import { itemReach } from './item-reach'
import { itemsByHand, lazyIndex } from './items-by-hand'
import { membersOf } from './members'
import { joinableOf } from './joinable'
import { mergeListings } from './merge-listings'
import { numberListings } from './number-listings'
import { noCorrections, type SaidOfGoods } from './rules'
import { salesBlock } from './sales-block'
import { fillFromStores } from './stores-in-listings'
import { titleLessons } from './title-lessons'
import { windowEnds } from './window-ends'
import { unpublishedUnits } from './unpublished-units'

export interface WorkOptions {
  signal?: AbortSignal
  /** share done, 0–1 */
  onProgress?: (done: number) => void
  /** lets other work of the thread in */
  pause?: () => Promise<void>
}

/**
 * All that does not depend on the seller's rules.
 *
 * @param said what a person said of which listings are the same goods
 * @throws Problem 'cancelled'
 */
export async function buildCatalog(
  captures: readonly Capture[],
  options: WorkOptions = {},
  said: SaidOfGoods = noCorrections,
): Promise<Catalog> {
  const step = stepper(options)
  const { count, captures: numbered } = numberListings(captures)
  await step(0.05)
  const listings = fillFromStores(mergeListings(count, numbered), captures)
  await step(0.15)
  const sales = salesBlock(count, numbered)
  const titles = await joinableOf(listings, null, (done) => step(0.2 + 0.3 * done))
  const index = lazyIndex(listings)
  const lessons = titleLessons(titles, said, index)
  const joinable = { ...titles, lessons: inForce(lessons) }
  const groupOf = await joinListings(joinable, (done) => step(0.5 + 0.2 * done))
  const itemOf = itemsByHand(groupOf, said, () => joinable, index)
  const { starts, members } = membersOf(itemOf)
  const seasons = categorySeasons(mergeTerms(captures))
  const life = await itemLives({ listings, sales, starts, members }, seasons, (done) => step(0.7 + 0.2 * done))
  const joined = { listings, itemOf, items: starts.length - 1 }
  const ends = windowEnds(listings, sales)
  const reach = await itemReach(captures, joined, {
    avoid: said.avoid,
    windowEnds: ends,
    onProgress: (done) => step(0.9 + 0.06 * done),
  })
  const unpublished = await unpublishedUnits({ listings, sales }, numbered, (done) => step(0.96 + 0.04 * done))
  return {
    listings,
    sales,
    forms: joinable.forms,
    groupOf,
    lessons,
    itemOf,
    starts,
    members,
    seasons,
    life,
    reach,
    unpublished,
    windowEnds: ends,
    offers: mergeOffers(captures),
  }
}

/** Reports progress, lets others in and hears of a stop. How often the page hears of it is for the caller to say. */
export function stepper({ signal, onProgress, pause }: WorkOptions): (done: number) => Promise<void> {
  return async (done) => {
    onProgress?.(done)
    await pause?.()
    stopIfCancelled(signal)
  }
}
