import { facets, type FacetName } from './facets'

/** A span of a measure in its own unit; null is open. */
export type Span = [number | null, number | null]

/** What is chosen of each facet; nothing chosen is no limit. A category takes in what lies under it. */
export type FacetChoices = Record<FacetName, string[]>

/** What the user asks for. A Cut is a kept one of these. */
export interface Query extends FacetChoices {
  words: string
  /** markets that alone count: every figure is of what is gathered of them; none named is all */
  lens: string[]
  /** measure name → span */
  limits: Record<string, Span>
  /** stores as 'Market/Store': items that any of them lists */
  stores: string[]
  /** what is among the seller's own goods, what is not, or either; what is likely so, or another pack, is neither */
  own: 'any' | 'mine' | 'others'
  /** a phrase that buyers search for: items with a title that has all its words, in whatever form; '' is none */
  phrase: string
  sort: { by: string; descending: boolean }
}

export const emptyQuery: Query = {
  ...(Object.fromEntries(facets.map((f) => [f, []])) as unknown as FacetChoices),
  words: '',
  lens: [],
  limits: {},
  stores: [],
  own: 'any',
  phrase: '',
  sort: { by: 'worth', descending: true },
}

export interface FacetCount {
  value: string
  /** items left if this value were (also) chosen, under all other limits */
  count: number
}

export interface StripAnswer {
  measure: string
  /** items in each bin, no limit applied */
  all: number[]
  /** items in each bin that pass every other limit */
  passing: number[]
  /** items that fail this limit alone: what lifting it would bring back */
  wouldReturn: number
  /** of those that pass the others, how many have no figure here */
  unknown: number
}

export interface Answer {
  total: number
  matching: number
  strips: StripAnswer[]
  facets: Record<FacetName, FacetCount[]>
}
