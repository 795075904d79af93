import { itemFields, type FieldFacet, type Item } from '../catalog'
import { categoryParts } from '../identity'
import { joinSeveral, splitSeveral } from '../tables'

/**
 * What items can be chosen by, with its name as a screen writes it and one text an item. Several markets, or whatever else there are
 * several of, are one text, joined by a sign that no name holds.
 */
interface Facet {
  name: FacetName
  label: string
  of: (item: Item) => string | null
  /** its values in their order, where that is not the alphabet's */
  values?: readonly string[]
}

export type FacetName =
  'markets' | 'categories' | 'stages' | 'kinds' | 'channels' | 'clearing' | 'crowding' | FieldFacet

/** How crowded with creators it is, by the bands of the trade (common practice, no source); null where nobody says. */
export function crowdingOf(creators: number | null): string | null {
  const band = creators === null ? undefined : crowding.find(({ to }) => creators <= to)
  return band?.name ?? null
}
const crowding = [
  { name: 'hardly any (under 100)', to: 99 },
  { name: 'little (100–999)', to: 999 },
  { name: 'workable (1,000–5,000)', to: 5_000 },
  { name: 'busy (5,001–10,000)', to: 10_000 },
  { name: 'crowded (over 10,000)', to: Infinity },
]

const several = (words: readonly string[]) => (words.length === 0 ? null : joinSeveral(words))

/** Facets that are a field of listings, as the table of fields says. */
const stated: readonly Facet[] = itemFields.flatMap(({ name, item }) =>
  item.facet
    ? [{ ...item.facet, name: item.facet.name as FieldFacet, of: (i: Item) => textOf(i[name as 'shipsFrom']) }]
    : [],
)

function textOf(value: string[] | string | number | null): string | null {
  return Array.isArray(value) ? several(value) : value === null ? null : String(value)
}

const table: readonly Facet[] = [
  { name: 'markets', label: 'Markets', of: (i) => several(i.markets) },
  { name: 'categories', label: 'Categories', of: (i) => i.category },
  { name: 'stages', label: 'Stage of life', of: (i) => i.stage },
  { name: 'kinds', label: 'Kind of goods', of: (i) => i.kind },
  ...stated,
  { name: 'channels', label: 'Advertised on', of: (i) => several(i.reach.channels) },
  { name: 'crowding', label: 'Creators', of: (i) => crowdingOf(i.creators), values: crowding.map((b) => b.name) },
  { name: 'clearing', label: 'May be listed', of: (i) => i.clearing },
]

export const facets: readonly FacetName[] = table.map((f) => f.name)
export const facetLabels = Object.fromEntries(table.map((f) => [f.name, f.label])) as Record<FacetName, string>
/** The values of a facet in their order: by the alphabet, or as its table has them. */
export const inFacetOrder = (name: FacetName) => {
  const values = table.find((f) => f.name === name)?.values
  const place = (value: string) => values?.indexOf(value) ?? 0
  return (a: { value: string }, b: { value: string }) => place(a.value) - place(b.value) || (a.value < b.value ? -1 : 1)
}
export const facetOf = Object.fromEntries(table.map((f) => [f.name, f.of])) as Record<FacetName, Facet['of']>

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
