/** A span of a measure in its own unit; null is open. */
export type Span = [number | null, number | null]

/** What the user asks for. A Cut is a kept one of these. */
export interface Query {
  words: string
  /** measure name → span */
  limits: Record<string, Span>
  markets: string[]
  /** category paths; each takes in what lies under it */
  categories: string[]
  stages: string[]
  kinds: string[]
  /** stores as 'Market/Store': items that any of them lists */
  stores: string[]
  /** a phrase that buyers search for: items with a title that has all its words, in whatever form; '' is none */
  phrase: string
  sort: { by: string; descending: boolean }
}

export const emptyQuery: Query = {
  words: '',
  limits: {},
  markets: [],
  categories: [],
  stages: [],
  kinds: [],
  stores: [],
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
  markets: FacetCount[]
  categories: FacetCount[]
  stages: FacetCount[]
  kinds: FacetCount[]
}
