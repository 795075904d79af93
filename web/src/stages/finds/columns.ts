import { compositeColumns, measures } from '@sickle/core/engine'

/** A column of the finds beside the item itself. */
export interface FindColumn {
  id: string
  /** two lines at most */
  label: string
  /** what it is called where columns are chosen */
  name: string
  width: number
  /** measure that its heading sorts by; null where it cannot */
  sortBy: string | null
  left?: boolean
  title?: string
}

/** How the composite columns stand in the grid. */
const looks: Record<string, (sign: string) => Pick<FindColumn, 'label' | 'width' | 'left' | 'title'>> = {
  price: (sign) => ({ label: `Price\n${sign}`, width: 84 }),
  units: () => ({ label: 'Units\n30 d', width: 54 }),
  trend: () => ({ label: '90 days', width: 86, left: true, title: 'Sort by growth over 28 days' }),
  sold: () => ({
    label: 'Sold, per\nlisting',
    width: 58,
    title: 'Share of listings that sold at least once, in order of the lower end of its interval; units per listing',
  }),
  room: () => ({ label: 'Room', width: 78, left: true, title: 'How open it is to one more seller' }),
  landed: (sign) => ({ label: `Landed\n${sign}`, width: 58 }),
  profit: (sign) => ({
    label: `Profit\n${sign}, %`,
    width: 62,
    title: 'At the lowest competing price of the market where it earns most',
  }),
  clearing: () => ({ label: 'May be\nlisted', width: 74, left: true }),
  worth: () => ({ label: 'Worth', width: 46 }),
}

/** The last word of a heading stands below the others. */
function inTwoLines(label: string): string {
  const at = label.lastIndexOf(' ')
  return at < 0 ? label : `${label.slice(0, at).replace(/,$/, '')}\n${label.slice(at + 1)}`
}

/** Everything that can be a column, in the order it is offered. */
export function allColumns(sign: string): FindColumn[] {
  const composite = compositeColumns.map(({ id, name, sortBy }) => ({
    id,
    name,
    sortBy,
    ...(looks[id]?.(sign) ?? { label: name, width: 70 }),
  }))
  const shown = new Set(compositeColumns.flatMap((c) => c.shown))
  const others = measures
    .filter((m) => !shown.has(m.name))
    .map((m) => ({ id: m.name, name: m.label, label: inTwoLines(m.label), width: 70, sortBy: m.name }))
  return [...composite, ...others]
}

/** The chosen columns, in their order; a name that means nothing any more is left out. */
export function chosenColumns(ids: readonly string[], sign: string): FindColumn[] {
  const all = new Map(allColumns(sign).map((c) => [c.id, c]))
  return ids.flatMap((id) => all.get(id) ?? [])
}

const [itemWidth, gap] = [150, 8]

/** The columns that fit, Room being the first to go, then those furthest right but for Worth. */
export function fitting(columns: readonly FindColumn[], width: number): FindColumn[] {
  const taken = (list: readonly FindColumn[]) => itemWidth + list.reduce((sum, c) => sum + c.width + gap, 20)
  let list = [...columns]
  while (taken(list) > width && list.length > 2) {
    const out = list.find((c) => c.id === 'room') ?? list.filter((c) => c.id !== 'worth').at(-1)
    list = list.filter((c) => c !== out)
  }
  return list
}
