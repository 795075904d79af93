import { numbers, type Table } from '../tables'
import { sharedProfit } from '../verdict'

/** An item whose offers are to be judged, and what a right match is worth. */
export interface Queued {
  place: number
  /** home currency a month, in major units */
  worth: number
}

/** Share of the price that a match would bring where it is not known yet: the margin worth listing for (common practice, no source). */
const usualMargin = 0.2

/**
 * Items in the order of what a right match is worth to the seller a month: the profit that is reckoned with, shared with all who list it; where
 * no offer is known, a fifth of its sales, shared likewise. Of what neither is known stands last.
 *
 * @param skip whether an item is left out: it was judged, or has nothing to be bought
 * @param most how many are told
 */
export function matchQueue(
  figures: Table,
  places: Iterable<number>,
  { skip, most }: { skip: (place: number) => boolean; most: number },
): Queued[] {
  const of = (name: string) => numbers(figures, name)
  const [profit, revenue, listings] = [of('profitMonth'), of('revenue'), of('listings')]
  const list: Queued[] = []
  for (const place of places) {
    const known = Math.abs(profit[place] as number)
    const sales = revenue[place] as number
    const guess = sharedProfit(usualMargin, sales, listings[place] as number)
    const worth = Number.isNaN(known) ? (Number.isNaN(guess) ? 0 : guess) : known
    if (list.length === most && worth <= (list.at(-1) as Queued).worth) continue
    if (!skip(place)) put(list, { place, worth }, most)
  }
  return list
}

function put(list: Queued[], queued: Queued, most: number): void {
  let at = list.length
  while (at > 0 && (list[at - 1] as Queued).worth < queued.worth) at--
  list.splice(at, 0, queued)
  if (list.length > most) list.pop()
}
