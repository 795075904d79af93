import type { CostInputs } from '../margin'
import type { Corrections } from './rules'

/** What the seller said of one item. */
export interface SaidOfItem {
  /** pieces in its pack */
  pack?: number
  /** key of the offer that it is to be reckoned with; '' where none is */
  offer?: string
  /** costs that hold for it alone */
  costs?: Partial<CostInputs>
  isCleared?: true
}
const nothing: SaidOfItem = {}

/**
 * What the seller said, by item. A map, as to ask a record for a key that was only just put together takes longer than most of what is worked
 * out of an item, and of nearly all of a million nothing is said.
 */
export class SaidOfItems {
  readonly #byKey = new Map<string, SaidOfItem>()

  constructor({ packs, offers, costs, cleared }: Corrections) {
    for (const [key, pack] of Object.entries(packs)) this.#add(key, { pack })
    for (const [key, offer] of Object.entries(offers)) this.#add(key, { offer })
    for (const [key, own] of Object.entries(costs)) this.#add(key, { costs: own })
    for (const key of Object.keys(cleared)) this.#add(key, { isCleared: true })
  }

  of(key: string): SaidOfItem {
    return this.#byKey.get(key) ?? nothing
  }

  #add(key: string, said: SaidOfItem): void {
    this.#byKey.set(key, { ...this.#byKey.get(key), ...said })
  }
}
