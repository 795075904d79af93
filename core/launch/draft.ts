import type { Assumption } from '../catalog'

/** A listing that is ready to be put up. Money in E4 of `currency`, the market's own. */
export interface Draft {
  id: string
  /** key of the item it was made from */
  item: string
  market: string
  title: string
  description: string
  tags: string[]
  category: string
  gtin: string
  picture: string
  priceE4: number
  /** who says the price: Margin, by its rule or by the price set there, or the seller in this draft */
  priceBy: 'margin' | 'hand'
  currency: string
  quantity: number
  handlingDays: number
  /** what a sale is expected to earn, in the home currency; null where a cost is not known */
  profitE4: number | null
  profitCurrency: string
  margin: number | null
  /** what the profit rests on that nobody stated */
  assumed: Assumption[]
}

/** What a market allows in a listing. */
export interface ListingLimits {
  title: number
  tags: number
  tagLength: number
}

/** Title: a common limit. Tags: 13 (common practice) of 20 characters each (from memory). */
export const listingLimits: ListingLimits = { title: 80, tags: 13, tagLength: 20 }

/** What stands in the way of a draft, in words; empty where it can go up. */
export function draftFaults(draft: Draft, limits: ListingLimits = listingLimits): string[] {
  const faults: string[] = []
  if (draft.title.trim() === '') faults.push('The title is empty')
  if ([...draft.title].length > limits.title)
    faults.push(`The title has ${[...draft.title].length} characters; ${limits.title} are allowed`)
  if (draft.tags.length > limits.tags) faults.push(`${draft.tags.length} tags; ${limits.tags} are allowed`)
  const long = draft.tags.find((t) => [...t].length > limits.tagLength)
  if (long !== undefined) faults.push(`The tag '${long}' is longer than ${limits.tagLength} characters`)
  if (!(draft.priceE4 > 0)) faults.push('The price is not above zero')
  if (!Number.isInteger(draft.quantity) || draft.quantity < 1)
    faults.push('The quantity is not a whole number of 1 or more')
  return faults
}
