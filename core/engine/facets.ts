import type { Item } from '../catalog'
import { categoryParts } from '../identity'
import { joinSeveral, splitSeveral } from '../tables'

/** What items can be chosen by: one text an item. Several markets, or whatever else there are several of, are one text, joined by a sign that no name holds. */
export const facets = [
  'markets',
  'categories',
  'stages',
  'kinds',
  'currencies',
  'countries',
  'languages',
  'shipsFrom',
  'channels',
] as const
export type FacetName = (typeof facets)[number]

/** Names as a screen writes them. */
export const facetLabels: Record<FacetName, string> = {
  markets: 'Markets',
  categories: 'Categories',
  stages: 'Stage of life',
  kinds: 'Kind of goods',
  currencies: 'Currency',
  countries: 'Country of the store',
  languages: 'Language',
  shipsFrom: 'Ships from',
  channels: 'Advertised on',
}

const several = (words: readonly string[]) => (words.length === 0 ? null : joinSeveral(words))

export const facetOf: Record<FacetName, (item: Item) => string | null> = {
  markets: (i) => several(i.markets),
  categories: (i) => i.category,
  stages: (i) => i.stage,
  kinds: (i) => i.kind,
  currencies: (i) => several(i.currencies),
  countries: (i) => several(i.countries),
  languages: (i) => several(i.languages),
  shipsFrom: (i) => several(i.shipsFrom),
  channels: (i) => several(i.reach.channels),
}

/** The values that one facet text stands for: several words, or a category with all it lies under. */
export function facetValues(name: FacetName, text: string): string[] {
  return name === 'categories' ? branches(text) : splitSeveral(text)
}

/** 'Garden / Birds' → ['Garden', 'Garden / Birds'] */
export function branches(path: string | null): string[] {
  if (path === null) return []
  const parts = categoryParts(path)
  return parts.map((_, i) => parts.slice(0, i + 1).join(' / '))
}
