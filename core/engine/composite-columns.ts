/** A column of finds that shows several figures, or one with its sign; any other measure is a column of its own. */
export interface CompositeColumn {
  id: string
  name: string
  /** figures and words that go into a file for it, by the name of measure or facet */
  exported: readonly string[]
  /** measures that it shows: they are not offered as columns of their own */
  shown: readonly string[]
  /** measure that its heading sorts by; null where it shows words alone */
  sortBy: string | null
}

export const compositeColumns: readonly CompositeColumn[] = [
  { id: 'price', name: 'Price', exported: ['price'], shown: ['price'], sortBy: 'price' },
  { id: 'units', name: 'Units', exported: ['units'], shown: ['units'], sortBy: 'units' },
  {
    id: 'trend',
    name: 'Trend and stage of life',
    exported: ['stages', 'growth', 'slope'],
    shown: [],
    sortBy: 'growth',
  },
  {
    id: 'sold',
    name: 'Both sell-throughs',
    exported: ['sellThrough', 'unitsPerListing'],
    shown: ['sellThrough', 'unitsPerListing'],
    sortBy: 'sellThroughLow',
  },
  { id: 'room', name: 'Room', exported: ['room', 'sellers'], shown: ['room'], sortBy: 'room' },
  { id: 'landed', name: 'Landed cost', exported: ['landed'], shown: ['landed'], sortBy: 'landed' },
  {
    id: 'profit',
    name: 'Profit and margin',
    exported: ['profit', 'margin'],
    shown: ['profit', 'margin'],
    sortBy: 'profit',
  },
  { id: 'clearing', name: 'May be listed', exported: ['clearing'], shown: [], sortBy: null },
  { id: 'worth', name: 'Worth', exported: ['worth'], shown: ['worth'], sortBy: 'worth' },
]
