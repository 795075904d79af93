import { newDays, type StoreLook } from '@sickle/core/stores'
import { count, percent, plural } from './format'

/** What made the money of a store, in a sentence. */
export function whatMadeTheMoney({ topFifth, makes80, summed }: StoreLook): string {
  if (summed.known === 0) return 'Not known: no listing of it says what it sold.'
  if (topFifth === null) return `Nothing sold in 30 days, of ${plural(summed.known, 'listing')} that say so.`
  const few = makes80 === 1 ? 'One listing makes' : `${count(makes80)} of ${count(summed.known)} listings make`
  return `${few} four fifths of the units of 30 days; the best fifth makes ${percent(topFifth)}.`
}

/** What is new in it and already sells. */
export function whatIsNew({ newListings, newThatSell, summed }: StoreLook): string {
  if (summed.listings === 0) return 'Not known: no listing of it is gathered.'
  if (newListings === 0) return `No listing is known to be put up in ${newDays} days.`
  return `${plural(newListings, 'listing')} put up in ${newDays} days; ${newThatSell === 0 ? 'none' : count(newThatSell)} of them sold.`
}

/** How much of a store is gathered, where a list says how much there is; null where nothing says so. */
export function whatIsGathered({ stated, summed }: StoreLook): string | null {
  if (stated?.listings == null) return null
  if (summed.listings >= stated.listings) return `All of its ${count(stated.listings)} listings are gathered.`
  return `${count(summed.listings)} of its ${count(stated.listings)} listings are gathered: sums are over these.`
}
